import { dropOffer, takeOffer, useKeeper, withdraw } from '../state/autosave';
import { notify } from '../state/notices';
import { Modal } from '../ui/Modal';
import { momentWords } from './moments';

/** Work of pages that ended before it had reached the server: each is offered by itself. */
export function OffersDialog() {
  const offers = useKeeper((s) => s.offers);
  const later = () => offers.forEach(withdraw);
  return (
    <Modal title="Work that had not reached the server" open={offers.length > 0} onClose={later}>
      <p className="mb-3 leading-relaxed">
        Other windows of this browser ended before their changes to this scene had arrived. Take one
        up to go on with it; Undo leads back to what is open now.
      </p>
      <ul className="mb-4 divide-y divide-rule border-y border-rule">
        {offers.map((o) => (
          <li key={o.tab} className="flex items-center gap-2 py-2">
            <span className="min-w-0 flex-1">
              <span className="block truncate font-semibold">{o.document.name}</span>
              <span className="text-[12px] text-soft">{o.at ? momentWords(o.at) : 'Earlier'}</span>
            </span>
            <button type="button" className="btn" onClick={() => void discard(o)}>
              Discard
            </button>
            <button type="button" className="btn" onClick={() => void takeOffer(o)}>
              Take up
            </button>
          </li>
        ))}
      </ul>
      <div className="flex justify-end">
        <button type="button" className="btn" onClick={later}>
          Later
        </button>
      </div>
    </Modal>
  );
}

async function discard(offer: Parameters<typeof dropOffer>[0]): Promise<void> {
  await dropOffer(offer);
  notify('Discarded.');
}
