import { Link } from 'react-router';
import { api, type Schemas } from '../../../api/client';
import { useChannels, useOnlineShop } from '../../../api/queries';
import { Button, ButtonLink } from '../../../ui/Button';
import { SelectField } from '../../../ui/Field';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { useSend } from '../../../ui/useSend';
import { useTitle } from '../../../ui/useTitle';
import { Listings } from './Listings';
import { OpenOrders, OrdersBefore } from './Orders';
import { Payouts, Unpaid } from './Payouts';
import { SimulatedShop } from './SimulatedShop';

type Shop = Schemas['OnlineShopView'];

/** The online shop: orders to be posted first, then what is offered and what was paid out. */
export default function OnlinePage() {
  useTitle('Online shop');
  const { data: shop, error } = useOnlineShop();
  const { data: channels } = useChannels();
  const link = useSend((form: Schemas['LinkForm']) => api.put<Shop>('/api/online-shop', form));
  const look = useSend(() => api.put<Shop>('/api/online-shop/looked', {}));
  if (error) return <ProblemNotice problem={error} />;
  if (!shop) return <p className="text-soft">Opening …</p>;
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link className="inline-block min-h-6 text-soft hover:underline" to="/stalls">
            Stalls
          </Link>
          <h1>Online shop</h1>
          {shop.connected && shop.lookedAt && (
            <p className="text-soft">
              checked at{' '}
              {new Date(shop.lookedAt).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}
            </p>
          )}
        </div>
        <div className="flex gap-2">
          <ButtonLink look="quiet" to="/stalls/posting">
            Posting
          </ButtonLink>
          {shop.connected && (
            <Button look="quiet" disabled={look.isPending} onClick={() => look.mutate(undefined)}>
              Check now
            </Button>
          )}
        </div>
      </header>
      {shop.connected && shop.trouble && (
        <div className="mb-3">
          <Notice look="care">{shop.trouble}</Notice>
        </div>
      )}
      {!shop.connected && (
        <section className="sheet mb-4 max-w-[720px] p-5">
          <h2>The shop isn’t connected</h2>
          <p className="text-soft">
            Once it is, orders come by themselves, bags are put aside for them, the shop is told what is left,
            and its payouts are held against its orders.
          </p>
        </section>
      )}
      <section className="sheet mb-4 flex flex-wrap items-end gap-4 p-4" aria-label="The shop">
        <div className="w-[260px]">
          <SelectField
            label="It sells on the terms of"
            value={shop.channelId ?? ''}
            onChange={(event) =>
              link.mutate({
                connected: shop.connected,
                channelId: event.target.value === '' ? undefined : Number(event.target.value),
              })
            }
          >
            <option value="">the usual channel</option>
            {channels
              ?.filter((channel) => !channel.putAway || channel.id === shop.channelId)
              .map((channel) => (
                <option key={channel.id} value={channel.id}>
                  {channel.terms.name}
                </option>
              ))}
          </SelectField>
        </div>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={shop.connected}
            onChange={(event) => link.mutate({ connected: event.target.checked, channelId: shop.channelId })}
          />
          Connect the shop
        </label>
        {link.problem && <ProblemNotice problem={link.problem} />}
      </section>
      {shop.connected && (
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-4 xl:grid-cols-[minmax(0,1fr)_360px]">
          <div className="space-y-4">
            <OpenOrders orders={shop.open} />
            <Unpaid orders={shop.unpaid} />
            <OrdersBefore />
            <Payouts />
          </div>
          <div className="space-y-4">
            <Listings listings={shop.listings} />
            <SimulatedShop />
          </div>
        </div>
      )}
    </>
  );
}
