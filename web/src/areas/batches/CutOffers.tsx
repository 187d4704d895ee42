import type { Schemas } from '../../api/client';
import { Swatch } from '../../ui/Roll';

type Offer = Schemas['CutOffer'];

/** Pieces that lie there cut and not sewn and would do: they needn't be cut again. */
export function CutOffers({
  offers,
  several,
  chosen,
  onChoose,
}: {
  offers: Offer[];
  /** The batch has several lines, so each offer says for which it is. */
  several: boolean;
  /** For how many bags they are taken; what follows from it comes a moment later. */
  chosen: (offer: Offer) => number;
  onChoose: (offer: Offer, bags: number) => void;
}) {
  if (offers.length === 0) return null;
  return (
    <section className="sheet no-print px-3.5 py-2.5" aria-label="Cut before">
      <h2>Cut before, not sewn yet</h2>
      <ul className="mt-1 flex flex-wrap gap-2.5">
        {offers.map((offer) => {
          const taken = chosen(offer);
          return (
            <li key={`${offer.line}-${offer.materialId}`}>
              <label
                className={`flex min-h-11 cursor-pointer items-center gap-2.5 rounded border px-2.5 py-1.5 ${
                  taken > 0 ? 'border-woad bg-woad-tint' : 'border-line-strong'
                }`}
              >
                <input
                  type="checkbox"
                  className="size-5"
                  checked={taken > 0}
                  onChange={(event) => onChoose(offer, event.target.checked ? offer.bags : 0)}
                />
                <Swatch kind="CLOTH" colour={offer.colour} />
                <span>
                  <b>
                    {offer.letters} for {offer.bags} {offer.bags === 1 ? 'bag' : 'bags'}
                  </b>{' '}
                  in {offer.name}
                  <span className="block text-[13px] text-soft">
                    {several && `${offer.lineName}; `}
                    {taken > 0 && offer.chosen < offer.bags
                      ? `taken for ${offer.chosen}`
                      : `worth ${offer.worth.amount}`}
                  </span>
                </span>
              </label>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
