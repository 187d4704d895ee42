import { useState } from 'react';
import { api, type Schemas } from '../../../api/client';
import { ProblemNotice } from '../../../ui/Notice';
import { useSend } from '../../../ui/useSend';

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
  const [price, setPrice] = useState<string>();
  const typed = price ?? listing.price?.amount ?? '';
  const send = useSend(
    (offered: boolean) =>
      api.put<Schemas['OnlineShopView']>('/api/online-shop/listings', {
        kind: listing.kind,
        price: typed === '' ? '0' : typed,
        offered,
      }),
    () => setPrice(undefined),
  );
  const leave = () => {
    if (price !== undefined && listing.offered) send.mutate(true);
  };
  return (
    <li className="border-b border-line-faint py-1.5">
      <div className="flex items-center gap-2">
        <label className="flex min-h-11 min-w-0 flex-1 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 shrink-0"
            checked={listing.offered}
            disabled={send.isPending}
            onChange={(event) => send.mutate(event.target.checked)}
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
          aria-invalid={!!send.problem}
          value={typed}
          onChange={(event) => setPrice(event.target.value)}
          onBlur={leave}
          onKeyDown={(event) => {
            if (event.key === 'Enter') leave();
          }}
        />
      </div>
      {send.problem && <ProblemNotice problem={send.problem} />}
    </li>
  );
}
