import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useMaterial, useMovements, useShelf, useToday } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { FormEnd } from '../../ui/FormEnd';
import { More } from '../../ui/More';
import { ProblemNotice } from '../../ui/Notice';
import { PhotoButton } from '../../ui/PhotoButton';
import { Panel } from '../../ui/Panel';
import { PIN, PinnedNotes } from '../../ui/PinnedNotes';
import { PutAwayPart } from '../../ui/PutAwayPart';
import { Bolt, OffcutDrawing, Swatch } from '../../ui/Roll';
import { Tag } from '../../ui/Tag';
import { fullDay, useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';
import { MaterialPanel } from './MaterialPanel';
import { MovePart } from './MovePart';
import { OffersPart } from './OffersPart';
import { PrintPart } from './PrintPart';
import { MOVEMENTS, PARTS, SCHOOLS, type Material } from './words';
import { useTitle } from '../../ui/useTitle';

type Lot = Schemas['LotView'];

/** One material: what is there, in which lots, how it came and went. */
export default function MaterialPage() {
  const id = Number(useParams().id);
  const today = useToday();
  const [on, setOn] = useState('');
  const { data: material, error } = useMaterial(id);
  const { data: shelf, error: noShelf } = useShelf(id);
  const past = useShelf(id, on || undefined);
  const [editing, setEditing] = useState(false);
  useTitle(material?.name);
  if (error || noShelf) return <ProblemNotice problem={error ?? noShelf} />;
  if (!material || !shelf) return <p className="text-soft">Opening …</p>;
  const rolls = shelf.lots.filter((lot) => !lot.size);
  const pieces = shelf.lots.filter((lot) => lot.size);
  return (
    <>
      <header className="mb-4 flex flex-wrap items-start justify-between gap-4">
        <div className="min-w-0">
          <Link to="/materials" className="inline-block min-h-6 text-soft hover:underline">
            Materials
          </Link>
          <h1>
            {material.name} {material.putAway && <Tag look="care">put away</Tag>}
          </h1>
          <p className="text-soft">{material.note}</p>
        </div>
        <div className="flex flex-wrap gap-2.5">
          <PhotoButton
            path={`/api/materials/${material.id}/photo?version=${material.version}`}
            photo={material.photo}
          />
          <ButtonLink look="quiet" to={`/materials/hand?material=${id}`}>
            What can I make of it?
          </ButtonLink>
          <Button look="quiet" onClick={() => setEditing(true)}>
            Change what it is
          </Button>
        </div>
      </header>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_340px]">
        <div className="min-w-0 space-y-4">
          <OnHand material={material} shelf={shelf} />
          <PinnedNotes pin={{ ...PIN, about: 'MATERIAL', materialId: id }} />
          <Lots material={material} lots={rolls} />
          {material.kind === 'CLOTH' && <Pieces material={material} lots={pieces} />}
          {material.kind === 'CLOTH' && <PrintPart materialId={id} />}
          <Movements id={id} kind={material.kind} />
        </div>
        <div className="space-y-4">
          <section className="sheet p-4" aria-label="Move stock">
            <MovePart material={material} lots={shelf.lots} />
          </section>
          <section className="sheet p-4" aria-label="On a day">
            <h2>On a day in the past</h2>
            <TextField
              label="At the end of"
              type="date"
              value={on}
              max={today}
              onChange={(event) => setOn(event.target.value)}
            />
            {on && past.data && (
              <p>
                <b>{past.data.onHand.text}</b>, worth <b>{past.data.worth.amount}</b>
              </p>
            )}
          </section>
          <section className="sheet p-4">
            <OffersPart material={material} />
          </section>
          <section className="sheet p-4" aria-label="Put away">
            <PutAwayPart
              thing={material}
              path={`/api/materials/${id}`}
              list="/materials"
              hint="Put it away: it isn’t offered, bought or called low any more. What is there and its history stay."
            />
          </section>
        </div>
      </div>
      {editing && (
        <MaterialPanel kind={material.kind} material={material} onClose={() => setEditing(false)} />
      )}
    </>
  );
}

function OnHand({ material, shelf }: { material: Material; shelf: Schemas['ShelfView'] }) {
  const units = useUnits();
  const figure = (label: string, text: string, other?: string) => (
    <div>
      <div className="text-[13px] text-soft">{label}</div>
      <div className="text-[24px] leading-tight font-bold whitespace-nowrap">{text}</div>
      {other && <div className="text-[13px] text-soft">{other}</div>}
    </div>
  );
  return (
    <section className="sheet grid items-center gap-4 p-4 sm:grid-cols-[300px_1fr]" aria-label="On the shelf">
      {material.kind === 'CLOTH' ? (
        <Bolt
          colour={material.colour}
          print={material.facts.print}
          photo={material.photo}
          length={material.onHand.value}
          free={material.free.value}
        />
      ) : (
        <div className="scale-[1.8] justify-self-center py-4">
          <Swatch kind={material.kind} colour={material.colour} photo={material.photo} />
        </div>
      )}
      <div>
        <div className="flex flex-wrap gap-x-7 gap-y-3">
          {figure(
            'On the shelf',
            units.amount(material.onHand),
            material.onHand.length && units.other(material.onHand.length),
          )}
          {material.parts.map((part) => (
            <div key={part.part}>{figure(PARTS[part.part], String(part.onHand.count))}</div>
          ))}
          {material.held.value > 0 && figure('Held for batches', units.amount(material.held))}
          {material.held.value > 0 && figure('Free', units.amount(material.free))}
          {figure(`Worth (${units.currency})`, shelf.worth.amount, SCHOOLS[shelf.school])}
        </div>
        <div className="mt-2 flex flex-wrap gap-x-3 gap-y-1 text-soft">
          {material.low && <Tag look="care">low: below {material.lowAt?.text}</Tag>}
          {material.usableWidth && <span>{units.own(material.usableWidth)} usable</span>}
          {material.facts.place && <span>lies in {material.facts.place}</span>}
          {material.facts.oneDyeLot && <span>one dye lot for a batch</span>}
          {material.facts.shrinkage && (
            <span>
              still shrinks by {material.facts.shrinkage} %
              {material.facts.shrinksAfterCutting && ' after cutting'}
            </span>
          )}
          {material.facts.fibre && <span>{material.facts.fibre}</span>}
          {material.facts.needle && <span>needle {material.facts.needle}</span>}
          {material.facts.care && <span>{material.facts.care}</span>}
        </div>
        {shelf.reserved.length > 0 && (
          <p className="mt-2">
            {shelf.reserved.map((held, index) => (
              <span key={index}>
                {index > 0 && ', '}
                {held.amount.text} {PARTS[held.part]} for{' '}
                <Link className="font-semibold text-woad hover:underline" to={`/batches/${held.batchId}`}>
                  batch {held.batchId}
                </Link>
              </span>
            ))}
          </p>
        )}
        {shelf.unplaced && (
          <p className="mt-2 text-weld">
            More was taken than had been entered: {units.amount(shelf.unplaced)}. Count it, or enter what
            came.
          </p>
        )}
      </div>
    </section>
  );
}

function Lots({ material, lots }: { material: Material; lots: Lot[] }) {
  const units = useUnits();
  const [open, setOpen] = useState<Lot>();
  if (lots.length === 0) return null;
  return (
    <section className="sheet relative overflow-x-auto px-3 py-2.5" aria-label="Lots">
      <h2 className="px-1">Lots, the oldest first</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>Came</th>
            <th>As</th>
            <th className="num">Paid</th>
            <th className="num">Left</th>
            <th>Dye, place</th>
            <th>
              <span className="sr-only">Change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {lots.map((lot) => (
            <tr key={lot.id}>
              <td className="whitespace-nowrap">
                {fullDay(lot.cameAt)}
                <span className="block text-[13px] text-soft">{lot.cameFrom || MOVEMENTS[lot.origin]}</span>
              </td>
              <td>
                {lot.soldAs || units.amount(lot.quantity)} {PARTS[lot.part]}
                {lot.measuredWidth && (
                  <span className="block text-[13px] text-soft">{units.own(lot.measuredWidth)} wide</span>
                )}
              </td>
              <td className="num">
                {lot.worth.amount}
                {lot.extra.minor > 0 && (
                  <span className="block text-[13px] text-soft">{lot.extra.amount} of it postage</span>
                )}
              </td>
              <td className="num whitespace-nowrap">
                <b>{units.amount(lot.left)}</b>
                {lot.held.value > 0 && (
                  <span className="block text-[13px] text-soft">{units.amount(lot.held)} held</span>
                )}
              </td>
              <td>
                {lot.dyeLot && <b>{lot.dyeLot}</b>}
                <span className="block text-[13px] text-soft">{lot.place}</span>
              </td>
              <td className="num">
                <button
                  type="button"
                  className="min-h-11 px-2 font-semibold text-woad"
                  aria-label={`Change the lot of ${fullDay(lot.cameAt)}`}
                  onClick={() => setOpen(lot)}
                >
                  Change
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {open && <LotPanel key={open.id} material={material} lot={open} onClose={() => setOpen(undefined)} />}
    </section>
  );
}

function LotPanel({ material, lot, onClose }: { material: Material; lot: Lot; onClose: () => void }) {
  const [dyeLot, setDyeLot] = useState(lot.dyeLot);
  const [place, setPlace] = useState(lot.place);
  const [measuredWidth, setMeasuredWidth] = useState(lot.measuredWidth?.exact ?? '');
  const send = useSend(
    (version: number) =>
      api.put<Schemas['ShelfView']>(`/api/lots/${lot.id}`, {
        version,
        dyeLot,
        place,
        measuredWidth,
      }),
    onClose,
  );
  return (
    <Panel
      title={`${material.name}, lot of ${fullDay(lot.cameAt)}`}
      open
      onOpenChange={(open) => !open && onClose()}
    >
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(send.problem?.currentVersion ?? lot.version);
        }}
      >
        <TextField
          label="Dye lot"
          value={dyeLot}
          onChange={(event) => setDyeLot(event.target.value)}
          error={send.problem?.on('dyeLot')}
        />
        <TextField
          label="Place"
          value={place}
          onChange={(event) => setPlace(event.target.value)}
          error={send.problem?.on('place')}
        />
        {material.kind === 'CLOTH' && !lot.size && (
          <TextField
            label="Usable width as you measured it"
            hint="A bolt’s true width differs from its label; plans go by the narrowest lot that is left."
            value={measuredWidth}
            onChange={(event) => setMeasuredWidth(event.target.value)}
            error={send.problem?.on('measuredWidth')}
          />
        )}
        <FormEnd problem={send.problem} isPending={send.isPending} />
      </form>
    </Panel>
  );
}

const WIDEST = 150;

/** Offcuts and precuts to one scale, and the form to enter one that was found. */
function Pieces({ material, lots }: { material: Material; lots: Lot[] }) {
  const units = useUnits();
  const [adding, setAdding] = useState(false);
  const longest = Math.max(1, ...lots.map((lot) => Math.max(lot.size?.width ?? 0, lot.size?.height ?? 0)));
  return (
    <section className="sheet px-4 py-2.5" aria-label="Offcuts and precuts">
      <div className="flex items-center justify-between">
        <h2>Offcuts and precuts</h2>
        <button
          type="button"
          className="min-h-11 font-semibold text-woad hover:underline"
          onClick={() => setAdding(true)}
        >
          Enter a piece
        </button>
      </div>
      {lots.length === 0 && (
        <p className="text-soft">None. What is large enough is proposed when a batch is cut.</p>
      )}
      <ul className="flex flex-wrap items-end gap-5">
        {lots.map((lot) => (
          <li key={lot.id} className="max-w-[190px]">
            <OffcutDrawing
              colour={material.colour}
              print={material.facts.print}
              width={lot.size?.width ?? 0}
              height={lot.size?.height ?? 0}
              scale={WIDEST / longest}
            />
            <Link
              className="block min-h-6 font-semibold text-woad hover:underline"
              to={`/materials/hand?material=${material.id}&lot=${lot.id}`}
            >
              {lot.left.count} × {lot.width && units.own(lot.width)} by {lot.height && units.own(lot.height)}
            </Link>
            <span className="block text-[13px] text-soft">
              {MOVEMENTS[lot.origin]} {fullDay(lot.cameAt)}
              {lot.place && ` · ${lot.place}`}
              {lot.held.value > 0 && ` · ${lot.held.count} held`}
            </span>
            {lot.isOld && <Tag look="care">for the scrap bag?</Tag>}
          </li>
        ))}
      </ul>
      {adding && <PiecePanel material={material} onClose={() => setAdding(false)} />}
    </section>
  );
}

function PiecePanel({ material, onClose }: { material: Material; onClose: () => void }) {
  const units = useUnits();
  const request = useRequestId();
  const [form, setForm] = useState({ width: '', height: '', count: '1', place: '', given: false });
  const send = useSend(
    () =>
      api.post<Schemas['ShelfView']>(`/api/materials/${material.id}/pieces`, {
        requestId: request.id,
        ...form,
      }),
    onClose,
  );
  const field = (key: 'width' | 'height' | 'count' | 'place', label: string, hint?: string) => (
    <TextField
      label={label}
      hint={hint}
      value={form[key]}
      onChange={(event) => setForm({ ...form, [key]: event.target.value })}
      error={send.problem?.on(key)}
    />
  );
  return (
    <Panel title={`A piece of ${material.name}`} open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <div className="grid grid-cols-2 gap-3">
          {field('width', 'Across the cloth', `A bare number is ${units.small}.`)}
          {field('height', 'Along the cloth', `A bare number is ${units.small}.`)}
          {field('count', 'How many')}
          {field('place', 'Where they lie')}
        </div>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={form.given}
            onChange={(event) => setForm({ ...form, given: event.target.checked })}
          />
          They were given to me
        </label>
        <FormEnd problem={send.problem} isPending={send.isPending} />
      </form>
    </Panel>
  );
}

function Movements({ id, kind }: { id: number; kind: Material['kind'] }) {
  const units = useUnits();
  const movements = useMovements(id);
  return (
    <section className="sheet px-3 py-2.5" aria-label="How it came and went">
      <h2 className="px-1">How it came and went</h2>
      <table className="listing">
        <tbody>
          {movements.items?.map((movement) => (
            <tr key={movement.id}>
              <td className="w-[110px] whitespace-nowrap text-soft">{fullDay(movement.movedAt)}</td>
              <td>
                {MOVEMENTS[movement.kind]} {PARTS[movement.part]}
                {movement.batchId !== undefined && ` for batch ${movement.batchId}`}
                <span className="block text-[13px] text-soft">{movement.reason}</span>
              </td>
              <td className="num whitespace-nowrap">
                {movement.change.value > 0 && '+'}
                {units.amount(movement.change)}
                {kind === 'CLOTH' && movement.change.count !== undefined && ' pieces'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <More list={movements} />
    </section>
  );
}
