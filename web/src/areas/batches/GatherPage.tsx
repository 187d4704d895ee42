import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { ButtonLink } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { NoteSlips, usePutAway } from '../../ui/PinnedNotes';
import { Swatch } from '../../ui/Roll';
import { Tag } from '../../ui/Tag';
import { day, useUnits } from '../../ui/units';
import { useSend } from '../../ui/useSend';
import { useTitle } from '../../ui/useTitle';

type Gather = Schemas['GatherView'];

const stored = (batchId: number) => `mardun.gathered.${batchId}`;

/** What was ticked of a batch; it outlives the page. */
function useTicks(batchId: number) {
  const [ticks, setTicks] = useState<string[]>(() => {
    try {
      return JSON.parse(localStorage.getItem(stored(batchId)) ?? '[]') as string[];
    } catch {
      return [];
    }
  });
  const tick = (what: string) =>
    setTicks((before) => {
      const after = before.includes(what) ? before.filter((one) => one !== what) : [...before, what];
      localStorage.setItem(stored(batchId), JSON.stringify(after));
      return after;
    });
  return { ticks, tick };
}

/** What is fetched before a batch is begun, by its place on the shelf, and whether all is well with it. */
export default function GatherPage() {
  const id = Number(useParams().id);
  const { data, error } = useQuery({
    queryKey: [...keys.batches, id, 'gather'],
    queryFn: () => api.get<Gather>(`/api/batches/${id}/gather`),
  });
  useTitle(data && `Gather: ${data.name}`);
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening …</p>;
  return <Sheet key={id} gather={data} />;
}

function Sheet({ gather }: { gather: Gather }) {
  const { ticks, tick } = useTicks(gather.batchId);
  const putAway = usePutAway();
  const units = useUnits();
  const places = [...new Set(gather.items.map((item) => item.place))];
  const total = gather.items.length + gather.tools.reduce((sum, tool) => sum + tool.which.length, 0);
  return (
    <>
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <Link to={`/batches/${gather.batchId}`} className="inline-block min-h-6 text-soft hover:underline">
            Batch {gather.batchId}
            {gather.forWhat && ` · for ${gather.forWhat}`}
            {gather.dueOn && `, ${day(gather.dueOn)}`}
          </Link>
          <h1>Gather for {gather.name}</h1>
        </div>
        <div className="no-print flex flex-wrap items-center gap-2.5">
          <Papers batchId={gather.batchId} />
          <ButtonLink to={`/bench/work/${gather.batchId}`}>To the bench</ButtonLink>
        </div>
      </header>
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_340px]">
        <section className="sheet px-4 py-3" aria-label="What to fetch">
          <p className="text-soft" aria-live="polite">
            <b className="text-ink">{Math.min(ticks.length, total)}</b> of {total} fetched
          </p>
          {places.map((place) => (
            <div key={place} className="mt-3">
              <h2 className="border-b-2 border-dashed border-woad-mid pb-1">{place || 'No place given'}</h2>
              <ul className="divide-y divide-line-faint">
                {gather.items
                  .filter((item) => item.place === place)
                  .map((item) => (
                    <Row
                      key={`${item.materialId} ${item.part}`}
                      what={`${item.materialId} ${item.part}`}
                      ticks={ticks}
                      onTick={tick}
                    >
                      <Swatch kind={item.kind} colour={item.colour} />
                      <span className="min-w-0 flex-1">
                        {item.name} {item.isShort && <Tag look="bad">not enough</Tag>}
                        {item.lots.length > 0 && (
                          <span className="block text-[13px] text-soft">{item.lots.join(' · ')}</span>
                        )}
                      </span>
                      <span className="text-right whitespace-nowrap">
                        <b>{units.amount(item.amount)}</b>
                        <span className="block text-[13px] text-soft">of {units.amount(item.onHand)}</span>
                      </span>
                    </Row>
                  ))}
              </ul>
            </div>
          ))}
          {gather.tools.map((tool) => (
            <div key={tool.kind} className="mt-3">
              <h2 className="border-b-2 border-dashed border-woad-mid pb-1">{tool.kind}</h2>
              <ul className="divide-y divide-line-faint">
                {tool.which.map((which) => (
                  <Row key={which} what={`${tool.kind} ${which}`} ticks={ticks} onTick={tick}>
                    {which}
                  </Row>
                ))}
              </ul>
            </div>
          ))}
          {total === 0 && <p className="mt-2">Nothing is to be fetched any more.</p>}
        </section>
        <div className="space-y-4">
          <section className="sheet px-4 py-3" aria-label="The batch as a whole">
            <h2>The batch as a whole</h2>
            <ul className="mt-1 space-y-1.5">
              {gather.checks.map((check) => (
                <li key={check.sentence} className="flex items-start gap-2">
                  <Tag look={check.ok ? 'ok' : 'care'}>{check.ok ? 'well' : 'look'}</Tag>
                  <span className="min-w-0">{check.sentence}</span>
                </li>
              ))}
            </ul>
            {gather.open && <OneFirst gather={gather} />}
          </section>
          <NoteSlips notes={gather.notes} onPutAway={(note) => putAway.mutate(note)} />
          {gather.cautions.length > 0 && (
            <section className="sheet space-y-1.5 px-4 py-3" aria-label="Care">
              <h2>Care</h2>
              {gather.cautions.map((caution) => (
                <p key={`${caution.stage} ${caution.title}`} className="text-[14px]">
                  <b className="mr-1.5 rounded bg-weld-tint px-1.5 text-weld">{caution.title}</b>
                  {caution.text}
                </p>
              ))}
            </section>
          )}
        </div>
      </div>
    </>
  );
}

function Row({
  what,
  ticks,
  onTick,
  children,
}: {
  what: string;
  ticks: string[];
  onTick: (what: string) => void;
  children: React.ReactNode;
}) {
  const isTicked = ticks.includes(what);
  return (
    <li>
      <label
        className={`flex min-h-14 cursor-pointer items-center gap-3 py-1.5 ${isTicked ? 'text-soft line-through decoration-woad-mid' : ''}`}
      >
        <input type="checkbox" className="size-7 shrink-0" checked={isTicked} onChange={() => onTick(what)} />
        {children}
      </label>
    </li>
  );
}

/** One bag is sewn to the end and measured before the others are begun. */
function OneFirst({ gather }: { gather: Gather }) {
  const send = useSend((on: boolean) =>
    api.put<void>(`/api/batches/${gather.batchId}/one-first?on=${on}`, {}),
  );
  return (
    <label className="mt-3 flex min-h-11 items-start gap-2.5 border-t border-line-faint pt-2.5">
      <input
        type="checkbox"
        className="mt-0.5 size-6 shrink-0"
        checked={gather.oneFirst}
        disabled={send.isPending}
        onChange={(event) => send.mutate(event.target.checked)}
      />
      <span>
        Sew one first
        <span className="block text-[13px] text-soft">
          It goes to the end and is measured; the others wait until you say so at the bench.
        </span>
        {send.problem && <span className="block text-madder">{send.problem.message}</span>}
      </span>
    </label>
  );
}

/** Papers for beside the machine. */
function Papers({ batchId }: { batchId: number }) {
  const { data: settings } = useQuery({
    queryKey: keys.settings,
    queryFn: () => api.get<Schemas['SettingsForm']>('/api/settings'),
  });
  const [paper, setPaper] = useState<string>();
  const [bags, setBags] = useState('5');
  const chosen = paper ?? (settings?.unitSystem === 'INCH' ? 'LETTER' : 'A4');
  const count = /^[1-9]\d{0,3}$/.test(bags.trim()) ? Number(bags) : 5;
  const link = (file: string, words: string, more = '') => (
    <a
      href={`/api/batches/${batchId}/${file}.pdf?paper=${chosen}${more}`}
      target="_blank"
      rel="noreferrer"
      className="inline-flex min-h-11 items-center px-1 font-semibold text-woad hover:underline"
    >
      {words}
    </a>
  );
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1" role="group" aria-label="Papers">
      {link('gather', 'This sheet')}
      {link('step-cards', 'Step cards')}
      {link('bundle-tickets', 'Bundle tickets', `&bags=${count}`)}
      <label className="flex items-center gap-1.5 text-soft">
        of
        <input
          className="field !min-h-9 w-14 text-right"
          inputMode="numeric"
          maxLength={4}
          aria-label="Bags in a bundle"
          value={bags}
          onChange={(event) => setBags(event.target.value)}
        />
      </label>
      <select
        className="field !min-h-9 w-auto"
        aria-label="Paper"
        value={chosen}
        onChange={(event) => setPaper(event.target.value)}
      >
        <option value="A4">A4</option>
        <option value="LETTER">Letter</option>
      </select>
    </div>
  );
}
