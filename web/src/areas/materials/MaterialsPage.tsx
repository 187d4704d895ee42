import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useBench, useFinishedGoods, useMaterials } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { Swatch } from '../../ui/Roll';
import { Tag } from '../../ui/Tag';
import { day, useUnits } from '../../ui/units';
import { MaterialPanel } from './MaterialPanel';
import { ShelfPanel } from './ShelfPanel';

type Material = Schemas['MaterialView'];
type Kind = Material['kind'];

const GROUPS: { kind: Kind; title: string; add: string }[] = [
  { kind: 'CLOTH', title: 'Cloth, lining, interfacing', add: 'Add cloth' },
  { kind: 'TRIM', title: 'By length', add: 'Add zip tape or trim' },
  { kind: 'NOTION', title: 'By count', add: 'Add notions' },
  { kind: 'FILLING_BY_WEIGHT', title: 'Fillings, by weight', add: 'Add filling by weight' },
  { kind: 'FILLING_BY_VOLUME', title: 'Fillings, by volume', add: 'Add by volume' },
];

export default function MaterialsPage() {
  const { data, error } = useMaterials();
  const { data: bench } = useBench();
  const [search, setSearch] = useSearchParams();
  const [adding, setAdding] = useState<Kind>();
  const [editing, setEditing] = useState<Material>();
  if (error) return <ProblemNotice problem={error} />;
  const opened = data?.items.find((material) => String(material.id) === search.get('open'));
  const short = new Map(bench?.shortages.map((line) => [line.materialId, line.shortBy]));
  return (
    <>
      <header className="mb-4 flex flex-wrap items-center justify-between gap-2.5">
        <h1>Materials</h1>
        <div className="flex flex-wrap gap-2.5">
          <ButtonLink to="/materials/buying">To buy</ButtonLink>
          {GROUPS.map((group) => (
            <Button key={group.kind} look="quiet" onClick={() => setAdding(group.kind)}>
              {group.add}
            </Button>
          ))}
        </div>
      </header>
      {data?.items.length === 0 && (
        <section className="sheet mb-4 max-w-[720px] p-5">
          <h2>The shelf is empty here</h2>
          <p className="mt-1 text-soft">
            Enter what a pouch takes: an outer cloth, a lining, an interfacing, zip tape, sliders and labels.
            For each, its price as you bought it and how much is there.
          </p>
        </section>
      )}
      <div className="grid items-start gap-4 xl:grid-cols-[1.25fr_1fr]">
        <Group
          group={GROUPS[0]}
          items={data?.items}
          short={short}
          onOpen={(id) => setSearch({ open: String(id) })}
          withWidth
        />
        <div className="space-y-4">
          {GROUPS.slice(1).map((group) => (
            <Group
              key={group.kind}
              group={group}
              items={data?.items}
              short={short}
              onOpen={(id) => setSearch({ open: String(id) })}
            />
          ))}
          <Finished />
        </div>
      </div>
      {adding && <MaterialPanel kind={adding} onClose={() => setAdding(undefined)} />}
      {editing && (
        <MaterialPanel kind={editing.kind} material={editing} onClose={() => setEditing(undefined)} />
      )}
      {opened && !editing && (
        <ShelfPanel
          key={opened.id}
          material={opened}
          onClose={() => setSearch({})}
          onEdit={() => {
            setEditing(opened);
            setSearch({});
          }}
        />
      )}
    </>
  );
}

function Group({
  group,
  items,
  short,
  withWidth,
  onOpen,
}: {
  group?: (typeof GROUPS)[number];
  items?: Material[];
  short: Map<number, Schemas['AmountView']>;
  withWidth?: boolean;
  onOpen: (id: number) => void;
}) {
  const units = useUnits();
  const own = items?.filter((material) => material.kind === group?.kind) ?? [];
  const most = Math.max(1, ...own.map((material) => material.onHand.value));
  if (!group || own.length === 0) return null;
  return (
    <section className="sheet px-2 py-3" aria-label={group.title}>
      <h2 className="px-2">{group.title}</h2>
      <table className="listing">
        <thead>
          <tr>
            <th>
              <span className="sr-only">Swatch</span>
            </th>
            <th>Name</th>
            {withWidth && <th>Usable width</th>}
            <th className="num">Price</th>
            <th>On the shelf</th>
          </tr>
        </thead>
        <tbody>
          {own.map((material) => {
            const missing = short.get(material.id);
            return (
              <tr key={material.id}>
                <td className="w-[54px]">
                  <Swatch kind={material.kind} colour={material.colour} />
                </td>
                <td className="max-w-0 min-w-[120px]">
                  <button
                    type="button"
                    className="block w-full truncate text-left font-semibold text-woad hover:underline"
                    onClick={() => onOpen(material.id)}
                  >
                    {material.name}
                  </button>
                  <span className="block truncate text-[13px] text-soft">
                    {material.note}
                    {material.directional && ' · one way up'}
                  </span>
                </td>
                {withWidth && (
                  <td>
                    {material.usableWidth && units.own(material.usableWidth)}
                    <span className="block text-[13px] text-soft">
                      {material.usableWidth && units.other(material.usableWidth)}
                    </span>
                  </td>
                )}
                <td className="num whitespace-nowrap">
                  {material.price.amount}
                  <span className="block text-[13px] text-soft">for {material.pricePer.exact}</span>
                </td>
                <td className="w-[150px]">
                  <b className="whitespace-nowrap">{units.amount(material.onHand)}</b>
                  <span className="mt-0.5 block h-2 overflow-hidden rounded bg-line-faint" aria-hidden>
                    <span
                      className="block h-full"
                      style={{
                        width: `${Math.max(0, (100 * material.onHand.value) / most)}%`,
                        background: material.colour,
                      }}
                    />
                  </span>
                  {missing ? (
                    <Tag look="bad">{units.amount(missing)} short</Tag>
                  ) : material.low ? (
                    <Tag look="care">low</Tag>
                  ) : null}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

function Finished() {
  const { data } = useFinishedGoods();
  if (!data || data.items.length === 0) return null;
  return (
    <section className="sheet px-2 py-3" aria-label="Finished bags">
      <h2 className="px-2">Finished bags, at home</h2>
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
          {data.items.map((goods) => (
            <tr key={goods.id}>
              <td>
                {goods.designName}, {goods.sizeName}
                <span className="block text-[13px] text-soft">
                  {goods.clothName} · {day(goods.finishedOn)}
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
