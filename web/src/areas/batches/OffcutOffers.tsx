import type { Schemas } from '../../api/client';
import { useUnits } from '../../ui/units';

/** Offcuts and precuts that the batch could be cut from before the bolt is touched, to one scale. */
export function OffcutOffers({
  offers,
  chosen,
  onChoose,
}: {
  offers: Schemas['OffcutOffer'][];
  /** The lots that are ticked; what they give follows a moment later. */
  chosen: number[];
  onChoose: (lotId: number, chosen: boolean) => void;
}) {
  const units = useUnits();
  if (offers.length === 0) return null;
  const longest = Math.max(...offers.map((offer) => Math.max(offer.size.width, offer.size.height)));
  const scale = 56 / longest;
  return (
    <section className="sheet no-print px-3.5 py-2.5" aria-label="Offcuts first">
      <h2>Offcuts and precuts first</h2>
      <ul className="mt-1 flex flex-wrap gap-2.5">
        {offers.map((offer) => (
          <li key={offer.lotId}>
            <label
              className={`flex min-h-11 cursor-pointer items-center gap-2.5 rounded border px-2.5 py-1.5 ${
                chosen.includes(offer.lotId) ? 'border-woad bg-woad-tint' : 'border-line-strong'
              }`}
            >
              <input
                type="checkbox"
                className="size-5"
                checked={chosen.includes(offer.lotId)}
                onChange={(event) => onChoose(offer.lotId, event.target.checked)}
              />
              <svg
                width={offer.size.width * scale + 2}
                height={offer.size.height * scale + 2}
                className="shrink-0"
                aria-hidden
              >
                <rect
                  x="1"
                  y="1"
                  width={offer.size.width * scale}
                  height={offer.size.height * scale}
                  fill="#e1edf5"
                  stroke="#48595f"
                  strokeDasharray="4 2"
                />
              </svg>
              <span>
                <b>
                  {offer.count} × {units.own(offer.width)} by {units.own(offer.height)}
                </b>{' '}
                of {offer.name}
                <span className="block text-[13px] text-soft">
                  gives {offer.gives}; as much as {units.amount(offer.saves)} of the roll
                </span>
              </span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}
