import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { foldOf, keepFold } from './folds';

interface Props {
  title: string;
  /** Told beside the title, such as a state. */
  aside?: ReactNode;
  open?: boolean;
  /** Within a card: smaller, without a line above. */
  plain?: boolean;
  children: ReactNode;
}

/** A section of a sheet that folds away, and is found as it was left, unless it is in a card. */
export function Fold({ title, aside, open = false, plain = false, children }: Props) {
  return (
    <Disclosure
      as="section"
      className={plain ? 'mt-1.5' : 'section'}
      defaultOpen={(plain ? undefined : foldOf(title)) ?? open}
    >
      {({ open: shown }) => (
        <>
          <DisclosureButton
            onClick={() => !plain && keepFold(title, !shown)}
            className={`flex w-full items-center gap-1 text-left ${plain ? 'text-[12px] font-medium' : 'font-semibold'}`}
          >
            <ChevronRight
              className={`-ml-1 size-3.5 shrink-0 text-soft ${shown ? 'rotate-90' : ''}`}
            />
            <span className="shrink-0">{title}</span>
            <span className="ml-auto min-w-0 truncate pl-2 text-[12px] font-normal text-soft">
              {aside}
            </span>
          </DisclosureButton>
          <DisclosurePanel className="pt-2">{children}</DisclosurePanel>
        </>
      )}
    </Disclosure>
  );
}
