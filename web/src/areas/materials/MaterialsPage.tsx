import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useBench, useCutPieces, useFinishedGoods, useMaterialLists } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { Bolt, Swatch } from '../../ui/Roll';
import { Tag } from '../../ui/Tag';
import { useSettled } from '../../ui/useSettled';
import { useUnits } from '../../ui/units';
import { MaterialPanel } from './MaterialPanel';
import { GROUPS, PARTS, type Kind, type Material } from './words';
import { useTitle } from '../../ui/useTitle';
import { ofQuality } from '../../ui/quality';

const OTHER_PLACES = [
  { to: '/materials/stock-take', label: 'Stock-take' },
  { to: '/materials/cut', label: 'Cut, not sewn' },
  { to: '/materials/finished', label: 'Finished bags' },
  { to: '/materials/value', label: 'What it is worth' },
  { to: '/materials/files', label: 'Import and export' },
];

const PAGE = 60;

type Short = Map<number, Schemas['AmountView']>;

export default function MaterialsPage() {
  useTitle('Materials');
  const { data: bench } = useBench();
  const [search, setSearch] = useSearchParams();
  const [adding, setAdding] = useState<Kind>();
  const kind = (search.get('kind') ?? undefined) as Kind | undefined;
  const low = search.get('low') === 'yes';
  const putAway = search.get('away') === 'yes';
  const query = useSettled(search.get('find') ?? '', 150);
  const short: Short = new Map(bench?.shortages.map((line) => [line.materialId, line.shortBy]));
  const keep = (next: Record<string, string | undefined>) => {
    const all = new URLSearchParams(search);
    Object.entries(next).forEach(([key, value]) => (value ? all.set(key, value) : all.delete(key)));
    setSearch(all, { replace: true });
  };
  const narrowed = query !== '' || low || putAway;
  const groups = GROUPS.filter((group) => kind === undefined || group.kind === kind);
  const [sizes, setSizes] = useState<Partial<Record<Kind, number>>>({});
  const lists = useMaterialLists(
    groups.map((group) => ({ kind: group.kind, size: sizes[group.kind] ?? PAGE })),
    query,
    low,
    putAway,
  );
  const empty = lists.every((list) => list.data?.total === 0);
  const problem = lists.find((list) => list.error)?.error;
  const group = (one: (typeof GROUPS)[number], index: number) =>
    narrowed && lists[index]?.data?.total === 0 ? null : (
      <Group
        key={one.kind}
        group={one}
        list={lists[index]?.data}
        short={short}
        onAdd={setAdding}
        onMore={(size) => setSizes({ ...sizes, [one.kind]: size })}
      />
    );
  if (problem) return <ProblemNotice problem={problem} />;
  return (
    <>
      <header className="mb-3 flex flex-wrap items-center justify-between gap-2.5">
        <h1>Materials</h1>
        <div className="flex flex-wrap gap-2.5">
          {OTHER_PLACES.map((place) => (
            <ButtonLink key={place.to} to={place.to} look="quiet">
              {place.label}
            </ButtonLink>
          ))}
          <ButtonLink to="/materials/deliveries" look="quiet">
            Delivery
          </ButtonLink>
          <ButtonLink to="/materials/buying">To buy</ButtonLink>
        </div>
      </header>
      <section className="mb-4 flex flex-wrap items-center gap-2" aria-label="Which ones">
        <input
          className="field !w-[300px]"
          type="search"
          maxLength={100}
          aria-label="Find a material"
          placeholder="Name, fibre, place …"
          value={search.get('find') ?? ''}
          onChange={(event) => keep({ find: event.target.value })}
        />
        <Choice label="All" chosen={kind === undefined} onChoose={() => keep({ kind: undefined })} />
        {GROUPS.map((group) => (
          <Choice
            key={group.kind}
            label={group.short}
            chosen={kind === group.kind}
            onChoose={() => keep({ kind: group.kind })}
          />
        ))}
        <Choice label="Low only" chosen={low} onChoose={() => keep({ low: low ? undefined : 'yes' })} />
        <Choice
          label="Put away"
          chosen={putAway}
          onChoose={() => keep({ away: putAway ? undefined : 'yes' })}
        />
      </section>
      {empty && (
        <section className="sheet mb-4 max-w-[720px] p-5">
          <h2>{narrowed || kind ? 'Nothing here matches' : 'The shelf is empty here'}</h2>
          <p className="mt-1 text-soft">
            {narrowed || kind
              ? 'Take out a word or choose another kind.'
              : 'Enter what a pouch takes: an outer cloth, a lining, an interfacing, zip tape, sliders and labels. For each, its price as you bought it and how much is there.'}
          </p>
        </section>
      )}
      <div className={kind ? 'max-w-[1100px]' : 'grid items-start gap-4 xl:grid-cols-[1.35fr_1fr]'}>
        {groups.slice(0, 1).map(group)}
        <div className="space-y-4 empty:hidden">
          {groups.slice(1).map((one, index) => group(one, index + 1))}
          {!kind && !narrowed && <CutNotSewn />}
          {!kind && !narrowed && <Finished />}
        </div>
      </div>
      {adding && <MaterialPanel kind={adding} onClose={() => setAdding(undefined)} />}
    </>
  );
}

function Choice({ label, chosen, onChoose }: { label: string; chosen: boolean; onChoose: () => void }) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onChoose}
      className={`min-h-11 rounded border px-3 font-semibold ${
        chosen ? 'border-ink bg-ink text-white' : 'border-line-strong bg-white text-ink'
      }`}
    >
      {label}
    </button>
  );
}

function Group({
  group,
  list,
  short,
  onAdd,
  onMore,
}: {
  group: (typeof GROUPS)[number];
  list?: Schemas['PageViewMaterialView'];
  short: Short;
  onAdd: (kind: Kind) => void;
  onMore: (size: number) => void;
}) {
  const items = list?.items ?? [];
  return (
    <section className="sheet px-3 pt-2.5 pb-3" aria-label={group.title}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2>
          {group.title} {list && list.total > 0 && <span className="text-soft">· {list.total}</span>}
        </h2>
        <button
          type="button"
          className="min-h-11 px-2 font-semibold text-woad hover:underline"
          onClick={() => onAdd(group.kind)}
        >
          {group.add}
        </button>
      </div>
      {group.kind === 'CLOTH' && <Bolts items={items} short={short} />}
      {counted(group.kind) && items.length > 0 && <Compartments items={items} short={short} />}
      {group.kind !== 'CLOTH' && !counted(group.kind) && <Lines items={items} short={short} />}
      {list && list.total > items.length && items.length < 500 && (
        <Button look="quiet" className="mt-2" onClick={() => onMore(Math.min(500, items.length + 120))}>
          Show more of {list.total}
        </Button>
      )}
    </section>
  );
}

/** What is counted lies in compartments. */
const counted = (kind: Kind) => kind === 'NOTION' || kind === 'PACKING' || kind === 'SHEET';

function Name({ material }: { material: Material }) {
  return (
    <Link
      to={`/materials/${material.id}`}
      className="block min-h-6 truncate font-semibold text-woad hover:underline"
    >
      {material.name}
    </Link>
  );
}

function State({ material, short }: { material: Material; short: Short }) {
  const units = useUnits();
  const missing = short.get(material.id);
  if (missing) return <Tag look="bad">{units.amount(missing)} short</Tag>;
  if (material.low) return <Tag look="care">low</Tag>;
  return null;
}

/** Cloths as they lie: what is left to one scale, darker where it is reserved. */
function Bolts({ items, short }: { items: Material[]; short: Short }) {
  const units = useUnits();
  return (
    <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(196px,1fr))] gap-x-4 gap-y-3">
      {items.map((material) => (
        <li key={material.id} className="min-w-0">
          <Bolt
            colour={material.colour}
            print={material.facts.print}
            photo={material.photo}
            length={material.onHand.value}
            free={material.free.value}
          />
          <Name material={material} />
          <div className="flex flex-wrap items-baseline justify-between gap-x-2">
            <b className="whitespace-nowrap">{units.amount(material.onHand)}</b>
            <State material={material} short={short} />
          </div>
          <div className="text-[13px] text-soft">
            {material.usableWidth && `${units.own(material.usableWidth)} wide`}
            {material.held.value > 0 && ` · ${units.amount(material.held)} held`}
            {material.pieces > 0 && ` · ${material.pieces} ${material.pieces === 1 ? 'offcut' : 'offcuts'}`}
          </div>
        </li>
      ))}
    </ul>
  );
}

/** Notions in their compartments, each with its count. */
function Compartments({ items, short }: { items: Material[]; short: Short }) {
  return (
    <ul className="mt-1 grid grid-cols-[repeat(auto-fill,minmax(132px,1fr))] gap-px overflow-hidden rounded border border-line-strong bg-line-strong">
      {items.map((material) => (
        <li key={material.id} className="min-w-0 bg-white px-2.5 pt-1.5 pb-2">
          <div className="flex items-center justify-between gap-2">
            <span
              className="size-5 shrink-0 rounded-full border border-line-strong"
              style={{ background: material.colour }}
              aria-hidden
            />
            <b className="text-[20px] leading-tight">{material.onHand.count}</b>
          </div>
          <Name material={material} />
          <div className="flex flex-wrap items-center gap-x-1.5 text-[13px] text-soft">
            {material.parts.map((part) => (
              <span key={part.part}>
                {part.onHand.count} {PARTS[part.part]}
              </span>
            ))}
            {material.held.value > 0 && <span>{material.held.count} held</span>}
            <State material={material} short={short} />
          </div>
        </li>
      ))}
    </ul>
  );
}

function Lines({ items, short }: { items: Material[]; short: Short }) {
  const units = useUnits();
  const most = Math.max(1, ...items.map((material) => material.onHand.value));
  return (
    <table className="listing">
      <tbody>
        {items.map((material) => (
          <tr key={material.id}>
            <td className="w-[54px]">
              <Swatch kind={material.kind} colour={material.colour} photo={material.photo} />
            </td>
            <td className="max-w-0 min-w-[120px]">
              <Name material={material} />
              <span className="block truncate text-[13px] text-soft">{material.note}</span>
            </td>
            <td className="w-[150px]">
              <b className="whitespace-nowrap">{units.amount(material.onHand)}</b>{' '}
              <State material={material} short={short} />
              <span className="mt-0.5 block h-2 overflow-hidden rounded bg-line-faint" aria-hidden>
                <span
                  className="block h-full"
                  style={{
                    width: `${Math.max(0, (100 * material.onHand.value) / most)}%`,
                    background: material.colour,
                  }}
                />
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The pieces that are cut and not sewn, those of six kinds at most. */
function CutNotSewn() {
  const { items } = useCutPieces('');
  if (!items?.length) return null;
  return (
    <section className="sheet px-3 py-2.5" aria-label="Cut, not sewn">
      <div className="flex items-center justify-between">
        <h2>Cut, not sewn</h2>
        <Link to="/materials/cut" className="min-h-6 font-semibold text-woad hover:underline">
          All pieces
        </Link>
      </div>
      <table className="listing">
        <thead>
          <tr>
            <th>Piece</th>
            <th className="num">In stock</th>
            <th className="num">Worth</th>
          </tr>
        </thead>
        <tbody>
          {items.slice(0, 6).map((one) => (
            <tr key={one.id}>
              <td>
                {one.letter}, {one.pieceName}
                <span className="block text-[13px] text-soft">
                  {one.designName}, {one.sizeName} · {one.clothName}
                </span>
              </td>
              <td className="num">
                <b>{one.pieces}</b>
              </td>
              <td className="num">{one.worth.amount}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Finished() {
  const { items } = useFinishedGoods('', false);
  if (!items?.length) return null;
  return (
    <section className="sheet px-3 py-2.5" aria-label="Finished bags">
      <div className="flex items-center justify-between">
        <h2>Finished bags</h2>
        <Link to="/materials/finished" className="min-h-6 font-semibold text-woad hover:underline">
          Where they are
        </Link>
      </div>
      <table className="listing">
        <thead>
          <tr>
            <th>Bag</th>
            <th className="num">How many</th>
            <th className="num">Cost each</th>
            <th className="num">Price</th>
          </tr>
        </thead>
        <tbody>
          {items.slice(0, 6).map((goods) => (
            <tr key={goods.id}>
              <td>
                {goods.designName}, {goods.sizeName}
                <span className="block text-[13px] text-soft">
                  {goods.clothName}
                  {ofQuality(goods.quality)}
                </span>
              </td>
              <td className="num">
                <b>{goods.units}</b>
              </td>
              <td className="num">{goods.unitCost.amount}</td>
              <td className="num">{goods.price.amount}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
