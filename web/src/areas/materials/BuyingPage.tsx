import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useBuying, useSuppliers, useToday } from '../../api/queries';
import { Button, ButtonLink, FileLink } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { Swatch } from '../../ui/Roll';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { SupplierPanel } from './SupplierPanel';
import { useTitle } from '../../ui/useTitle';

type Want = Schemas['WantLine'];
type Supplier = Schemas['SupplierView'];

/** What to buy for the open batches and the low stock, shop by shop. */
export default function BuyingPage() {
  useTitle('To buy');
  const { data, error } = useBuying();
  const { data: suppliers } = useSuppliers();
  const units = useUnits();
  const [panel, setPanel] = useState<{ supplier?: Supplier }>();
  if (error) return <ProblemNotice problem={error} />;
  if (!data || !suppliers) return <p className="text-soft">Opening …</p>;
  const nothing = data.shops.length === 0 && data.nowhere.length === 0;
  return (
    <>
      <header className="mb-4 flex flex-wrap items-center justify-between gap-2.5">
        <h1>To buy</h1>
        <div className="no-print flex flex-wrap gap-2.5">
          <ButtonLink look="quiet" to="/materials">
            Materials
          </ButtonLink>
          <FileLink href="/api/buying.csv">As CSV</FileLink>
          <Button look="quiet" onClick={() => window.print()}>
            Print
          </Button>
        </div>
      </header>
      <div className="grid items-start gap-4 xl:grid-cols-[1fr_330px]">
        <div className="space-y-4">
          {nothing && (
            <section className="sheet p-5">
              <h2>Nothing to buy</h2>
              <p className="mt-1 text-soft">
                The shelf holds what the open batches take, and nothing is below the amount that you call low.
              </p>
            </section>
          )}
          {data.shops.map((shop) => (
            <Shop key={shop.supplier.id} shop={shop} />
          ))}
          {data.nowhere.length > 0 && (
            <section className="sheet px-3 py-3" aria-label="No shop is known for these">
              <h2>No shop is known for these</h2>
              <p className="pb-1 text-[13px] text-soft">
                Open one and enter who sells it, in which packs and for how much; then it counts in the total.
              </p>
              {data.nowhere.map((want) => (
                <div key={want.materialId} className="border-t border-line py-1.5">
                  <Wanted want={want} />
                </div>
              ))}
            </section>
          )}
        </div>
        <div className="space-y-4">
          {data.shops.length > 0 && (
            <section className="sheet px-4 py-3" aria-label="All together">
              <h2>All together</h2>
              <WorkedFigure
                className="text-[34px] leading-tight font-bold"
                label="All that is to be bought"
                working={data.total.working}
              >
                {data.total.value.amount}
              </WorkedFigure>{' '}
              <span className="text-soft">{units.currency}</span>
              <dl className="mt-2 border-t border-line pt-2">
                {data.shops.map((shop) => (
                  <div key={shop.supplier.id} className="flex justify-between gap-3">
                    <dt>{shop.supplier.name}</dt>
                    <dd className="font-semibold">{shop.sum.amount}</dd>
                  </div>
                ))}
              </dl>
              <p className="mt-2 text-[13px] text-soft">
                The cheapest choice of packs and shops, with one postage for each shop.
              </p>
            </section>
          )}
          <section className="sheet no-print px-4 py-3" aria-label="Shops">
            <div className="flex items-center justify-between">
              <h2>Shops</h2>
              <button
                type="button"
                className="min-h-11 px-2 font-semibold text-woad"
                onClick={() => setPanel({})}
              >
                Add a shop
              </button>
            </div>
            {suppliers.length === 0 && (
              <p className="text-soft">
                Enter the shops that you buy from, then on each material what they sell.
              </p>
            )}
            {suppliers.map((supplier) => (
              <button
                key={supplier.id}
                type="button"
                className="flex min-h-11 w-full items-center justify-between gap-3 border-t border-line text-left hover:bg-woad-tint"
                onClick={() => setPanel({ supplier })}
              >
                <span className="font-semibold text-woad">{supplier.name}</span>
                <span className="text-[13px] whitespace-nowrap text-soft">
                  {supplier.postage.minor ? `${supplier.postage.amount} postage` : 'no postage'}
                </span>
              </button>
            ))}
          </section>
        </div>
      </div>
      {panel && <SupplierPanel supplier={panel.supplier} onClose={() => setPanel(undefined)} />}
    </>
  );
}

/** A material with how much of it is wanted, and why. */
function Wanted({ want }: { want: Want }) {
  const units = useUnits();
  return (
    <div className="flex items-center gap-2.5">
      <Swatch kind={want.kind} colour={want.colour} />
      <div className="min-w-0">
        <Link
          to={`/materials/${want.materialId}`}
          className="flex min-h-7 items-center font-semibold text-woad hover:underline"
        >
          {want.name}
        </Link>
        <WorkedFigure className="min-h-7" label={`${want.name} to buy`} working={want.working}>
          {units.amount(want.toBuy)}
        </WorkedFigure>{' '}
        <span className="text-[13px] text-soft">
          {want.needed.value > 0 ? 'wanted for batches' : 'wanted, it is low'}
        </span>
      </div>
    </div>
  );
}

function Shop({ shop }: { shop: Schemas['ShopView'] }) {
  const { supplier } = shop;
  return (
    <section className="sheet px-2 py-3" aria-label={supplier.name}>
      <h2 className="px-2">{supplier.name}</h2>
      <table className="listing table-fixed">
        <thead>
          <tr>
            <th>What for</th>
            <th className="w-[34%]">Packs</th>
            <th className="num w-[76px]">Price</th>
            <th className="no-print w-[118px]">
              <span className="sr-only">It came</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {shop.lines.map((line) => (
            <Line key={line.key} line={line} supplier={supplier} />
          ))}
        </tbody>
        <tfoot>
          {supplier.postage.minor > 0 && (
            <tr>
              <td colSpan={2} className="num text-soft">
                Postage
              </td>
              <td className="num">{supplier.postage.amount}</td>
              <td className="no-print" />
            </tr>
          )}
          <tr>
            <td colSpan={2} className="num text-soft">
              From this shop
            </td>
            <td className="num font-bold">{shop.sum.amount}</td>
            <td className="no-print num">
              <Link
                className="inline-flex min-h-11 items-center font-semibold text-woad hover:underline"
                aria-label={`All of it came from ${supplier.name}`}
                to={`/materials/deliveries?shop=${supplier.id}`}
              >
                All of it came
              </Link>
            </td>
          </tr>
        </tfoot>
      </table>
    </section>
  );
}

function Line({ line, supplier }: { line: Schemas['BuyLine']; supplier: Supplier }) {
  const units = useUnits();
  const today = useToday();
  const request = useRequestId();
  const { want } = line;
  const send = useSend(
    () =>
      api.post<Schemas['DeliveryView']>('/api/deliveries', {
        requestId: request.id,
        supplierId: supplier.id,
        paperNumber: '',
        cameOn: today,
        postage: '',
        duty: '',
        total: line.price.amount,
        lines: [
          {
            materialId: line.soldMaterialId,
            packs: String(line.packs),
            content: line.content.exact,
            price: line.price.amount,
            dyeLot: '',
            place: '',
            measuredWidth: '',
            pieceWidth: '',
            pieceHeight: '',
          },
        ],
      }),
    request.renew,
  );
  return (
    <tr>
      <td>
        <Wanted want={want} />
        <ProblemNotice problem={send.problem} />
      </td>
      <td>
        <b className="text-[17px]">
          {line.packs} × {line.content.exact}
        </b>
        <span className="block text-[13px] text-soft">
          {units.amount(line.amount)}, each at {line.each.amount}
        </span>
        {line.insteadName && (
          <span className="block text-[13px] text-weld">
            {line.insteadName}, to be cut down: the one wanted isn’t sold
          </span>
        )}
      </td>
      <td className="num font-semibold">{line.price.amount}</td>
      <td className="no-print num">
        <Button
          look="quiet"
          disabled={send.isPending}
          aria-label={`${units.amount(line.amount)} of ${want.name} came`}
          onClick={() => send.mutate(undefined)}
        >
          It came
        </Button>
      </td>
    </tr>
  );
}
