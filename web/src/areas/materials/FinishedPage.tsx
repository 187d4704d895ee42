import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys, useFinishedGoods, useToday } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { More } from '../../ui/More';
import { FindField } from '../../ui/FindField';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { fullDay } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';
import { GoodsOnDay } from './GoodsOnDay';
import { age, GOODS_KINDS } from './goodsWords';
import { MoveSeveralPanel } from './MoveSeveralPanel';
import { ofQuality } from '../../ui/quality';

type Goods = Schemas['FinishedGoodsLine'];
type GoodsKind = Schemas['GoodsForm']['kind'];

const KINDS: { kind: GoodsKind; says: string }[] = [
  { kind: 'MOVED', says: 'Move them to another place' },
  { kind: 'GIVEN_AWAY', says: 'I gave them away' },
  { kind: 'SAMPLE', says: 'I keep them as samples' },
  { kind: 'WRITTEN_OFF', says: 'They are spoiled or lost' },
  { kind: 'BECAME_SECONDS', says: 'They are seconds after all' },
  { kind: 'COUNTED', says: 'I counted what is there' },
];

/** Finished bags by design, size, cloth and batch, and the places where they are. */
export default function FinishedPage() {
  useTitle('Finished bags');
  const [find, setFind] = useState('');
  const [all, setAll] = useState(false);
  const [place, setPlace] = useState('');
  const [quality, setQuality] = useState('');
  const found = useFinishedGoods(useSettled(find, 150), all, place, quality);
  const [moving, setMoving] = useState<Goods>();
  const [panel, setPanel] = useState<'several' | 'day'>();
  const today = useToday();
  if (found.error) return <ProblemNotice problem={found.error} />;
  return (
    <>
      <header className="mb-3 space-y-2">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <h1>Finished bags</h1>
          <div className="flex flex-wrap gap-2">
            <ButtonLink look="quiet" to="/prices/tickets">
              Price tickets
            </ButtonLink>
            <Button look="quiet" onClick={() => setPanel('day')}>
              On a past day
            </Button>
            <Button onClick={() => setPanel('several')}>Move several</Button>
          </div>
        </div>
        <div className="flex flex-wrap items-center gap-3">
          <FindField
            label="Find finished bags"
            placeholder="Design, size, cloth …"
            value={find}
            onType={setFind}
          />
          <select
            className="field !w-auto"
            aria-label="Where they are"
            value={place}
            onChange={(event) => setPlace(event.target.value)}
          >
            <option value="">anywhere</option>
            {found.first?.places.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
          <select
            className="field !w-auto"
            aria-label="First quality, seconds or kits"
            value={quality}
            onChange={(event) => setQuality(event.target.value)}
          >
            <option value="">first quality, seconds and kits</option>
            <option value="GOOD">first quality</option>
            <option value="SECOND">seconds</option>
            <option value="KIT">kits</option>
          </select>
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={all}
              onChange={(event) => setAll(event.target.checked)}
            />
            also those that are gone
          </label>
        </div>
      </header>
      {found.items?.length === 0 && (
        <section className="sheet max-w-[640px] p-5">
          <h2>No finished bags here</h2>
          <p className="text-soft">
            They come from finished batches; those from before can come in from a list.
          </p>
        </section>
      )}
      {found.items && found.items.length > 0 && (
        <section className="sheet relative overflow-x-auto px-3 py-2.5" aria-label="Finished bags">
          <table className="listing">
            <thead>
              <tr>
                <th>Bag</th>
                <th>Where they are</th>
                <th className="num">Together</th>
                <th className="num">Cost each</th>
                <th className="num">Price</th>
                <th>Finished</th>
                <th>
                  <span className="sr-only">Move</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {found.items.map((goods) => (
                <tr key={goods.id}>
                  <td>
                    <Link
                      className="font-bold text-woad hover:underline"
                      to={`/materials/finished/${goods.id}`}
                    >
                      {[goods.designName, goods.sizeName].filter(Boolean).join(', ')}
                    </Link>
                    <span className="block text-[13px] text-soft">
                      {goods.clothName}
                      {ofQuality(goods.quality)}
                    </span>
                  </td>
                  <td>
                    {goods.places.map((place) => (
                      <span key={place.place} className="mr-2 inline-block rounded bg-woad-tint px-2 py-0.5">
                        <b>{place.units}</b> {place.place}
                      </span>
                    ))}
                  </td>
                  <td className="num text-[18px] font-bold">{goods.units}</td>
                  <td className="num">{goods.unitCost.amount}</td>
                  <td className="num">{goods.price.amount}</td>
                  <td className="whitespace-nowrap">
                    {fullDay(goods.finishedOn)}
                    <span className="block text-[13px] text-soft">{age(goods.daysOld)}</span>
                    {goods.batchId !== undefined && (
                      <Link
                        className="block min-h-6 text-[13px] font-semibold text-woad hover:underline"
                        to={`/batches/${goods.batchId}`}
                      >
                        batch {goods.batchId}
                      </Link>
                    )}
                  </td>
                  <td className="num">
                    <Button
                      look="quiet"
                      aria-label={`Move ${goods.designName}, ${goods.sizeName} of ${goods.finishedOn}`}
                      onClick={() => setMoving(goods)}
                    >
                      Move
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <More list={found} />
        </section>
      )}
      {panel === 'several' && (
        <MoveSeveralPanel places={found.first?.places ?? []} onClose={() => setPanel(undefined)} />
      )}
      {panel === 'day' && <GoodsOnDay today={today} onClose={() => setPanel(undefined)} />}
      {moving && (
        <MovePanel
          key={moving.id}
          goods={moving}
          places={found.first?.places ?? []}
          onClose={() => setMoving(undefined)}
        />
      )}
    </>
  );
}

function MovePanel({ goods, places, onClose }: { goods: Goods; places: string[]; onClose: () => void }) {
  const request = useRequestId();
  const [kind, setKind] = useState<GoodsKind>('MOVED');
  const [place, setPlace] = useState(
    goods.places.find(({ place: at }) => at === 'home')?.place ?? goods.places[0]?.place ?? 'home',
  );
  const [toPlace, setToPlace] = useState('');
  const [units, setUnits] = useState('');
  const [reason, setReason] = useState('');
  const { data: movements } = useQuery({
    queryKey: [...keys.finishedGoods, goods.id, 'movements'],
    queryFn: () => api.get<Schemas['GoodsMovementView'][]>(`/api/finished-goods/${goods.id}/movements`),
  });
  const send = useSend(
    () =>
      api.post<Goods>(`/api/finished-goods/${goods.id}/movements`, {
        requestId: request.id,
        kind,
        place,
        toPlace: kind === 'MOVED' ? toPlace : undefined,
        units,
        reason,
      }),
    onClose,
  );
  return (
    <Panel title={`${goods.designName}, ${goods.sizeName}`} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <SelectField
          label="What happens"
          value={kind}
          onChange={(event) => setKind(event.target.value as GoodsKind)}
          error={send.problem?.on('kind')}
        >
          {KINDS.map((one) => (
            <option key={one.kind} value={one.kind}>
              {one.says}
            </option>
          ))}
        </SelectField>
        <div className="grid grid-cols-2 gap-3">
          <SelectField
            label="They are at"
            value={place}
            onChange={(event) => setPlace(event.target.value)}
            error={send.problem?.on('place')}
          >
            {goods.places.map((one) => (
              <option key={one.place} value={one.place}>
                {one.place} · {one.units}
              </option>
            ))}
          </SelectField>
          <TextField
            label={kind === 'COUNTED' ? 'There are' : 'How many'}
            inputMode="numeric"
            value={units}
            onChange={(event) => setUnits(event.target.value)}
            error={send.problem?.on('units')}
          />
        </div>
        {kind === 'MOVED' ? (
          <>
            <TextField
              label="To"
              list="places"
              value={toPlace}
              onChange={(event) => setToPlace(event.target.value)}
              error={send.problem?.on('toPlace')}
              hint="Home, the stall box, a shop that resells."
            />
            <datalist id="places">
              {places.map((one) => (
                <option key={one} value={one} />
              ))}
            </datalist>
          </>
        ) : (
          <TextField
            label="Why"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            error={send.problem?.on('reason')}
          />
        )}
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending}>
          Enter
        </Button>
      </form>
      <h3 className="mt-4 font-bold">How they came and went</h3>
      <table className="listing">
        <tbody>
          {movements?.map((movement) => (
            <tr key={movement.id}>
              <td className="text-soft">{fullDay(movement.movedAt)}</td>
              <td>
                {GOODS_KINDS[movement.kind]}, {movement.place}
                <span className="block text-[13px] text-soft">{movement.reason}</span>
              </td>
              <td className="num">
                {movement.change > 0 && '+'}
                {movement.change}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Panel>
  );
}
