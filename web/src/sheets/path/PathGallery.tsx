import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { FileInput as FileIcon, PenLine, Plus, Spline, Waypoints, X } from 'lucide-react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type ReactNode } from 'react';
import { api } from '../../api/client';
import * as core from '../../core/core';
import { useEditor } from '../../state/editor';
import { addPath, startDrawing } from '../../state/paths';
import { READY_CURVES } from './readyCurves';
import { SvgDialog, type Source } from './SvgDialog';
import { FileInput } from '../../ui/FileInput';

/** Every way to a new path. */
export function PathGallery() {
  const [source, setSource] = useState<Source | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const none = useEditor((s) => s.doc?.paths.length === 0);
  const panel = (close: () => void) => (
    <Panel
      onDone={close}
      onFile={() => input.current?.click()}
      onData={() => setSource({ kind: 'data' })}
    />
  );
  return (
    <>
      {none ? (
        <div className="mb-3" role="group" aria-label="A first path">
          {panel(() => undefined)}
        </div>
      ) : (
        <Popover className="mb-3">
          <PopoverButton className="btn-main w-full">
            <Plus className="size-4" /> New path
          </PopoverButton>
          <PopoverPanel
            anchor={{ to: 'right start', gap: 10 }}
            className="menu w-90 p-3"
            aria-label="New path"
          >
            {({ close }) => panel(close)}
          </PopoverPanel>
        </Popover>
      )}
      <FileInput
        input={input}
        accept=".svg,image/svg+xml"
        testId="svg-file"
        onFile={(file) => setSource({ kind: 'file', file })}
      />
      {source && <SvgDialog source={source} onClose={() => setSource(null)} />}
    </>
  );
}

interface PanelProps {
  onDone: () => void;
  onFile: () => void;
  onData: () => void;
}

function Panel({ onDone, onFile, onData }: PanelProps) {
  const then = (run: () => void) => () => {
    onDone();
    run();
  };
  const icon = 'size-6 text-vermilion';
  return (
    <>
      <Group title="Draw">
        <Card label="Curve" onClick={then(() => startDrawing('curve'))}>
          <Spline className={icon} strokeWidth={1.5} />
        </Card>
        <Card label="Through points" onClick={then(() => startDrawing('smooth'))}>
          <Waypoints className={icon} strokeWidth={1.5} />
        </Card>
        <Card label="Freehand" onClick={then(() => startDrawing('freehand'))}>
          <PenLine className={icon} strokeWidth={1.5} />
        </Card>
        <Card label="From SVG" onClick={then(onFile)}>
          <FileIcon className={icon} strokeWidth={1.5} />
        </Card>
      </Group>
      <Group title="Shapes by numbers">
        {core.shapeKinds().map((k) => (
          <Card
            key={k.kind}
            label={k.word}
            onClick={then(() => addPath('newShape', { kind: k.kind }))}
          >
            <Thumb d={k.picture} />
          </Card>
        ))}
        <Card label="Path data" onClick={then(onData)}>
          <span className="font-head text-[13px] text-vermilion">M0 0 C…</span>
        </Card>
      </Group>
      <Group title="Ready curves">
        {READY_CURVES.map((c) => (
          <Card key={c.name} label={c.name} onClick={then(() => addPath('placePath', { path: c }))}>
            <Thumb d={core.pathPicture(c)} />
          </Card>
        ))}
      </Group>
      <OwnCurves then={then} />
    </>
  );
}

/** The curves kept with this project. */
function OwnCurves({ then }: { then: (run: () => void) => () => void }) {
  const project = useEditor((s) => s.projectId) ?? '';
  const queries = useQueryClient();
  const own = useQuery({ queryKey: ['curves', project], queryFn: () => api.curves(project) });
  if (!own.data?.length) return null;
  const remove = async (id: string) => {
    await api.removeCurve(project, id);
    await queries.invalidateQueries({ queryKey: ['curves', project] });
  };
  return (
    <Group title="Kept with this project">
      {own.data.map((c) => (
        <div key={c.id} className="group relative">
          <Card label={c.name} onClick={then(() => addPath('newPath', { path: c.path }))}>
            <Thumb d={core.pathPicture(c.path)} />
          </Card>
          <button
            type="button"
            className="absolute top-0.5 right-0.5 rounded bg-sheet p-0.5 text-soft opacity-0 group-hover:opacity-100 hover:text-vermilion focus:opacity-100"
            aria-label={`Take ${c.name} out of the gallery`}
            title="Take it out of the gallery"
            onClick={() => void remove(c.id)}
          >
            <X className="size-3" />
          </button>
        </div>
      ))}
    </Group>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="mb-3 last:mb-0">
      <h3 className="mb-1.5 text-[12px] font-semibold text-soft">{title}</h3>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(4.6rem,1fr))] gap-1.5">
        {children}
      </div>
    </div>
  );
}

interface CardProps {
  label: string;
  onClick: () => void;
  children: ReactNode;
}

function Card({ label, onClick, children }: CardProps) {
  return (
    <button
      type="button"
      aria-label={label}
      className="flex w-full flex-col items-center rounded-lg border border-rule px-1 pt-1.5 pb-1 hover:border-teal hover:bg-wash"
      onClick={onClick}
    >
      <span className="flex h-8 items-center">{children}</span>
      <span className="w-full text-center text-[11px] leading-[1.15] text-balance">{label}</span>
    </button>
  );
}

/** A small picture of a path, as the core draws it. */
export function Thumb({ d, small }: { d: string; small?: boolean }) {
  return (
    <svg
      viewBox="-2 -2 48 32"
      className={`shrink-0 ${small ? 'h-4 w-6' : 'h-8 w-12'}`}
      aria-hidden="true"
    >
      <path d={d} fill="none" className="stroke-vermilion" strokeWidth={small ? 2.6 : 1.8} />
    </svg>
  );
}
