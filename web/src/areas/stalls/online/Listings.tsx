import { useQueryClient } from '@tanstack/react-query';
import { api, type Schemas } from '../../../api/client';
import { keys } from '../../../api/queries';
import { ProblemNotice } from '../../../ui/Notice';
import { useSend } from '../../../ui/useSend';
import { useTypedRow } from '../../../ui/useTypedRow';

type Listing = Schemas['ListingView'];

/** What is offered in the shop: bags that are at home. */
export function Listings({ listings }: { listings: Listing[] }) {
  return (
    <section className="sheet p-4" aria-label="Offered online">
      <h2>Offered online</h2>
      {listings.length === 0 && <p className="text-soft">No finished bags yet.</p>}
      <ul>
        {listings.map((listing) => (
          <Row key={listing.kind} listing={listing} />
        ))}
      </ul>
    </section>
  );
}

function Row({ listing }: { listing: Listing }) {
  const client = useQueryClient();
  const put = (price: string, offered: boolean) =>
    api.put<Schemas['OnlineShopView']>('/api/online-shop/listings', {
      kind: listing.kind,
      price: price === '' ? '0' : price,
      offered,
    });
  const row = useTypedRow({ price: listing.price?.amount ?? '' }, ({ price }) => put(price, true), {
    isReady: () => listing.offered,
    then: (shop) => client.setQueryData(keys.onlineShop, shop),
  });
  const offer = useSend((offered: boolean) => put(row.shown.price, offered));
  const problem = offer.problem ?? row.problem;
  return (
    <li className="border-b border-line-faint py-1.5">
      <div className="flex items-center gap-2">
        <label className="flex min-h-11 min-w-0 flex-1 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 shrink-0"
            checked={listing.offered}
            disabled={offer.isPending}
            onChange={(event) => offer.mutate(event.target.checked)}
          />
          <span>
            {listing.words}
            <span className="block text-[13px] text-soft">
              {listing.there} at home
              {listing.offered && listing.told !== undefined && `, the shop says ${listing.told}`}
            </span>
          </span>
        </label>
        <input
          className="field !w-[84px] text-right"
          inputMode="decimal"
          aria-label={`Price of ${listing.words}`}
          aria-invalid={!!problem}
          value={row.shown.price}
          onChange={(event) => row.type('price', event.target.value)}
          onBlur={row.leave}
          onKeyDown={(event) => {
            if (event.key === 'Enter') row.leave();
          }}
        />
      </div>
      {problem && <ProblemNotice problem={problem} />}
    </li>
  );
}
