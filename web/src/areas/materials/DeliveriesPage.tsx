import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useBuying, useDeliveries, useMaterials, useSuppliers, useToday } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { More } from '../../ui/More';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { fullDay, useUnits } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';

type Form = Schemas['DeliveryForm'];
type Line = Schemas['DeliveryLine'];

const blankLine = (materialId: number): Line => ({
  materialId,
  packs: '1',
  content: '',
  price: '',
  dyeLot: '',
  place: '',
  measuredWidth: '',
  pieceWidth: '',
  pieceHeight: '',
});

/** What came in one go, typed from its paper: all lines together, with a total that has to add up. */
export default function DeliveriesPage() {
  useTitle('Delivery');
  const [search] = useSearchParams();
  const { data: suppliers } = useSuppliers();
  const { data: materials } = useMaterials();
  const { data: buying } = useBuying();
  const today = useToday();
  const shop = buying?.shops.find((one) => String(one.supplier.id) === search.get('shop'));
  if (!suppliers || !materials || !buying || !today) return <p className="text-soft">Opening …</p>;
  if (suppliers.length === 0 || materials.items.length === 0) {
    return (
      <section className="sheet max-w-[640px] p-5">
        <h1>Delivery</h1>
        <p className="mt-2 text-soft">
          Enter the shop under{' '}
          <Link className="font-semibold text-woad hover:underline" to="/materials/buying">
            To buy
          </Link>{' '}
          and what it sells among the materials; then its papers can be entered here.
        </p>
      </section>
    );
  }
  return (
    <>
      <h1 className="mb-3">Delivery</h1>
      <Editor
        key={search.get('shop')}
        suppliers={suppliers}
        materials={materials.items}
        ordered={shop}
        today={today}
      />
      <Entered />
    </>
  );
}

function Editor({
  suppliers,
  materials,
  ordered,
  today,
}: {
  suppliers: Schemas['SupplierView'][];
  materials: Schemas['MaterialView'][];
  ordered?: Schemas['ShopView'];
  today: string;
}) {
  const units = useUnits();
  const request = useRequestId();
  const first = materials[0]?.id ?? 0;
  const draft = useDraft<Form>(`mardun.delivery.${ordered?.supplier.id ?? ''}`, {
    requestId: request.id,
    supplierId: ordered?.supplier.id ?? suppliers[0]?.id ?? 0,
    paperNumber: '',
    cameOn: today,
    postage: ordered ? ordered.supplier.postage.amount : '',
    duty: '',
    total: ordered ? ordered.sum.amount : '',
    lines: ordered
      ? ordered.lines.map((line) => ({
          ...blankLine(line.soldMaterialId),
          packs: String(line.packs),
          content: line.content.exact,
          price: line.price.amount,
        }))
      : [blankLine(first)],
  });
  const form = draft.value as Form;
  const settled = useSettled(form, 200);
  const sum = useQuery({
    queryKey: ['delivery-sum', settled],
    queryFn: ({ signal }) => api.post<Schemas['DeliverySum']>('/api/deliveries/sum', settled, signal),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  });
  const send = useSend(
    () => api.post<Schemas['DeliveryView']>('/api/deliveries', form),
    () => {
      draft.giveUp();
      request.renew();
    },
  );
  const change = (next: Partial<Form>) => draft.change({ ...form, ...next });
  const line = (index: number, next: Partial<Line>) =>
    change({ lines: form.lines.map((one, i) => (i === index ? { ...one, ...next } : one)) });
  const on = (field: string) => send.problem?.on(field);
  return (
    <form
      noValidate
      className="sheet mb-5 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <SelectField
          label="From"
          value={form.supplierId}
          onChange={(event) => change({ supplierId: Number(event.target.value) })}
          error={on('supplierId')}
        >
          {suppliers.map((supplier) => (
            <option key={supplier.id} value={supplier.id}>
              {supplier.name}
            </option>
          ))}
        </SelectField>
        <TextField
          label="Number of the paper"
          hint="May stay empty."
          value={form.paperNumber}
          onChange={(event) => change({ paperNumber: event.target.value })}
          error={on('paperNumber')}
        />
        <TextField
          label="Came on"
          type="date"
          max={today}
          value={form.cameOn}
          onChange={(event) => change({ cameOn: event.target.value || today })}
          error={on('cameOn')}
        />
      </div>
      <ol className="mt-3 space-y-2">
        {form.lines.map((one, index) => {
          const material = materials.find((m) => m.id === one.materialId);
          const at = (field: string) => on(`lines.${index}.${field}`);
          return (
            <li key={index} className="rounded border border-line p-3">
              <div className="grid grid-cols-2 gap-3 md:grid-cols-[1.6fr_70px_1fr_100px_44px]">
                <SelectField
                  label="What"
                  value={one.materialId}
                  onChange={(event) => line(index, { materialId: Number(event.target.value) })}
                >
                  {materials.map((m) => (
                    <option key={m.id} value={m.id}>
                      {m.name}
                    </option>
                  ))}
                </SelectField>
                <TextField
                  label="Packs"
                  inputMode="numeric"
                  value={one.packs}
                  onChange={(event) => line(index, { packs: event.target.value })}
                  error={at('packs')}
                />
                <TextField
                  label="each holds"
                  hint={one.pieceWidth ? 'pieces' : material ? `like ${material.pricePer.exact}` : ''}
                  value={one.content}
                  onChange={(event) => line(index, { content: event.target.value })}
                  error={at('content')}
                />
                <TextField
                  label={`Price (${units.currency})`}
                  hint={
                    sum.data?.shares[index] && sum.data.shares[index].minor > 0
                      ? `+ ${sum.data.shares[index].amount}`
                      : 'of the line'
                  }
                  inputMode="decimal"
                  value={one.price}
                  onChange={(event) => line(index, { price: event.target.value })}
                  error={at('price')}
                />
                <button
                  type="button"
                  aria-label={`Remove line ${index + 1}`}
                  className="mt-6 h-11 rounded text-xl font-bold text-woad hover:bg-woad-tint disabled:opacity-40"
                  disabled={form.lines.length === 1}
                  onClick={() => change({ lines: form.lines.filter((_, i) => i !== index) })}
                >
                  ×
                </button>
              </div>
              <details>
                <summary className="inline-block min-h-6 cursor-pointer py-1 font-semibold text-woad">
                  Dye lot, place{material?.kind === 'CLOTH' && ', width, precuts'}
                </summary>
                <div className="mt-1 grid grid-cols-2 gap-3 md:grid-cols-5">
                  <TextField
                    label="Dye lot"
                    value={one.dyeLot}
                    onChange={(event) => line(index, { dyeLot: event.target.value })}
                    error={at('dyeLot')}
                  />
                  <TextField
                    label="Place"
                    placeholder={material?.facts.place}
                    value={one.place}
                    onChange={(event) => line(index, { place: event.target.value })}
                    error={at('place')}
                  />
                  {material?.kind === 'CLOTH' && (
                    <>
                      <TextField
                        label="Usable width, measured"
                        value={one.measuredWidth}
                        onChange={(event) => line(index, { measuredWidth: event.target.value })}
                        error={at('measuredWidth')}
                      />
                      <TextField
                        label="Precut: across"
                        value={one.pieceWidth}
                        onChange={(event) => line(index, { pieceWidth: event.target.value })}
                        error={at('pieceWidth')}
                      />
                      <TextField
                        label="Precut: along"
                        value={one.pieceHeight}
                        onChange={(event) => line(index, { pieceHeight: event.target.value })}
                        error={at('pieceHeight')}
                      />
                    </>
                  )}
                </div>
              </details>
            </li>
          );
        })}
      </ol>
      <Button
        look="quiet"
        className="mt-2"
        onClick={() => change({ lines: [...form.lines, blankLine(first)] })}
      >
        Add a line
      </Button>
      <div className="mt-3 grid items-start gap-3 border-t border-line pt-3 sm:grid-cols-4">
        <TextField
          label={`Postage (${units.currency})`}
          hint="Spread over the lines by value."
          inputMode="decimal"
          value={form.postage}
          onChange={(event) => change({ postage: event.target.value })}
          error={on('postage')}
        />
        <TextField
          label={`Duty (${units.currency})`}
          hint="Spread over the lines by value."
          inputMode="decimal"
          value={form.duty}
          onChange={(event) => change({ duty: event.target.value })}
          error={on('duty')}
        />
        <TextField
          label={`The paper says (${units.currency})`}
          inputMode="decimal"
          value={form.total}
          onChange={(event) => change({ total: event.target.value })}
          error={on('total')}
        />
        <div>
          <div className="text-[13px] font-semibold text-soft">Lines, postage and duty</div>
          <div className="text-[24px] font-bold">{sum.data?.sum.amount ?? '–'}</div>
          {sum.data?.difference && (
            <Notice look="care">
              {sum.data.difference.minor > 0
                ? `${sum.data.difference.amount} are missing.`
                : `${sum.data.difference.amount.replace(/[-−]/, '')} too many.`}
            </Notice>
          )}
        </div>
      </div>
      {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
      <div className="mt-3 flex gap-2.5">
        <Button type="submit" disabled={send.isPending}>
          Put it on the shelf
        </Button>
        {draft.isChanged && (
          <Button look="quiet" onClick={draft.giveUp}>
            Start over
          </Button>
        )}
      </div>
    </form>
  );
}

function Entered() {
  const before = useDeliveries();
  if (!before.items?.length) return null;
  return (
    <section className="sheet px-3 py-2.5" aria-label="What came before">
      <h2 className="px-1">What came before</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>Day</th>
            <th>From</th>
            <th>Paper</th>
            <th className="num">Postage</th>
            <th className="num">Duty</th>
            <th className="num">Total</th>
          </tr>
        </thead>
        <tbody>
          {before.items.map((delivery) => (
            <tr key={delivery.id}>
              <td className="whitespace-nowrap">{fullDay(delivery.cameOn)}</td>
              <td>{delivery.supplier}</td>
              <td>{delivery.paperNumber}</td>
              <td className="num">{delivery.postage.amount}</td>
              <td className="num">{delivery.duty.amount}</td>
              <td className="num font-bold">{delivery.total.amount}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <More list={before} />
    </section>
  );
}
