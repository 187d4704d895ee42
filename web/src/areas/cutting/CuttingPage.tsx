import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Notes } from '../../ui/Notes';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { RunningStitch } from '../../ui/RunningStitch';
import { Tag } from '../../ui/Tag';
import { sides, useUnits } from '../../ui/units';
import { useShortcut } from '../../ui/useShortcut';
import { StagePanel } from '../batches/StagePanel';
import { CutSteps } from './CutSteps';
import { CuttingTime } from './CuttingTime';
import { Lengths } from './Lengths';
import { MachineMats } from './MachineMats';
import { Mat } from './Mat';
import { SpoiledPanel } from './SpoiledPanel';
import { WhatIf } from './WhatIf';
import { AIMS, type Aim } from './words';
import { useTitle } from '../../ui/useTitle';

type Cutting = Schemas['CuttingView'];
type Step = Schemas['StepView'];

const SECONDS = 1;
const LONG_SECONDS = 5;
const LOOK_EVERY = 600;

/** In bytes; the server takes no more at once. */
const LARGEST_FILE = 25_000_000;
/** Shown in the place of a cloth. */
const LENGTHS = 'lengths';

const cuttingKey = (id: number) => [...keys.batches, id, 'cutting'];

export default function CuttingPage() {
  const id = Number(useParams().id);
  const { data: cutting, error } = useQuery({
    queryKey: cuttingKey(id),
    queryFn: () => api.get<Cutting>(`/api/batches/${id}/cutting`),
  });
  if (error) return <ProblemNotice problem={error} />;
  if (!cutting) return <p className="text-soft">Opening the cutting sheet …</p>;
  return <Cutting key={id} cutting={cutting} />;
}

/** The search for layouts: asked for how far it is as long as it runs, and begun where nothing is laid out yet. */
function useSearch(cutting: Cutting) {
  const client = useQueryClient();
  const id = cutting.batchId;
  const path = `/api/batches/${id}/cutting/search`;
  const searchKey = [...cuttingKey(id), 'search'];
  const { data: state } = useQuery({
    queryKey: searchKey,
    queryFn: () => api.get<Schemas['SearchView']>(path),
    refetchInterval: (query) => (query.state.data?.running ? 250 : false),
  });
  const begin = useMutation({
    mutationFn: (form: Schemas['SearchForm']) => api.post<Schemas['SearchView']>(path, form),
    onSuccess: (begun) => client.setQueryData(searchKey, begun),
  });
  const stop = useMutation({
    mutationFn: () => api.post<Schemas['SearchView']>(`${path}/stop`, {}),
    onSuccess: (stopped) => client.setQueryData(searchKey, stopped),
  });
  const running = state?.running ?? false;
  const ran = useRef(false);
  useEffect(() => {
    if (ran.current && !running) void client.invalidateQueries({ queryKey: keys.batches });
    ran.current = running;
    if (!running) return undefined;
    const looking = setInterval(
      () => void client.invalidateQueries({ queryKey: cuttingKey(id), exact: true }),
      LOOK_EVERY,
    );
    return () => clearInterval(looking);
  }, [running, client, id]);
  return { state, running, begin, stop };
}

function Cutting({ cutting }: { cutting: Cutting }) {
  useTitle(`Cutting, batch ${cutting.batchId}`);
  const units = useUnits();
  const client = useQueryClient();
  const id = cutting.batchId;
  const planned = cutting.stage === 'PLANNED' || cutting.stage === 'CUTTING';
  const search = useSearch(cutting);
  const [picked, setPicked] = useState<number | typeof LENGTHS>();
  const [looked, setLooked] = useState<string>();
  const [zoomed, setZoomed] = useState(false);
  const [panel, setPanel] = useState<'spoiled' | 'cut' | 'this'>();
  const [fromOffcuts, setFromOffcuts] = useState(true);
  const cloth = cutting.cloths.find((one) => one.materialId === picked) ?? cutting.cloths[0];
  const lacking = planned && cutting.cloths.some((one) => !one.cut && !one.bill && !one.trouble);
  const begun = useRef(false);
  const begin = search.begin.mutate;
  const known = search.state !== undefined;
  useEffect(() => {
    if (lacking && known && !search.running && !begun.current) {
      begun.current = true;
      begin({ aim: cutting.aim, seconds: SECONDS, fromOffcuts: true });
    }
  }, [lacking, known, search.running, begin, cutting.aim]);
  const take = (view: Cutting) => client.setQueryData(cuttingKey(id), view);
  const aim = useMutation({
    mutationFn: (next: Aim) => api.put<Cutting>(`/api/batches/${id}/cutting/aim`, { aim: next }),
    onSuccess: (view) => {
      take(view);
      setLooked(undefined);
      void client.invalidateQueries({ queryKey: [...keys.batches, id], exact: true });
    },
  });
  const tick = useMutation({
    mutationFn: ({ step, done }: { step: Step; done: boolean }) =>
      api.put<Cutting>(`/api/batches/${id}/cutting/step`, {
        materialId: cloth?.materialId,
        step: step.key,
        done,
      }),
    onSuccess: take,
  });
  const steps = cloth?.mats.flatMap((mat) => mat.steps) ?? [];
  const next = steps.find((step) => !step.done);
  const shown = steps.find((step) => step.key === looked) ?? next;
  const lengths = picked === LENGTHS;
  const open = planned && !lengths && cloth !== undefined && !cloth.cut;
  const canTick = open && !tick.isPending;
  useShortcut('c', () => canTick && next && tick.mutate({ step: next, done: true }));
  useShortcut('x', () => open && cloth.bill && setPanel('spoiled'));
  if (!cloth) {
    return cutting.trims.length > 0 ? (
      <Lengths trims={cutting.trims} />
    ) : (
      <Notice look="care">Nothing of this batch is cut from cloth.</Notice>
    );
  }
  const bill = lengths ? undefined : cloth.bill;
  const uncut = cutting.cloths.filter((one) => !one.cut);
  const cutNow = (what: 'cut' | 'this') => {
    if (search.running) search.stop.mutate();
    setPanel(what);
  };
  return (
    <>
      <header className="flex flex-wrap items-start justify-between gap-4">
        <div>
          <div className="text-soft">
            <Link to={`/batches/${id}`} className="font-semibold text-woad">
              Batch {id}
            </Link>{' '}
            · {cutting.units} × {cutting.designName}
            {cutting.sizeName && `, ${cutting.sizeName}`}
          </div>
          <h1>
            {lengths
              ? 'Lengths from rolls and left-overs'
              : `${cloth.name}: ${units.amount(cloth.needed)} of ${units.amount(cloth.free)}`}
          </h1>
        </div>
        <div className="no-print flex flex-wrap gap-2.5">
          {planned && (
            <>
              <Button
                look="quiet"
                disabled={search.running || cutting.begun}
                onClick={() => begin({ aim: cutting.aim, seconds: LONG_SECONDS, fromOffcuts })}
              >
                Search longer
              </Button>
              {open && uncut.length > 1 && (
                <Button look="quiet" onClick={() => cutNow('this')}>
                  This cloth is cut
                </Button>
              )}
              <Button onClick={() => cutNow('cut')}>All is cut</Button>
            </>
          )}
        </div>
      </header>
      <div className="my-3 max-w-[830px]">
        <RunningStitch stage={cutting.stage} width={830} />
      </div>
      <div className="space-y-2 not-empty:mb-3">
        {!lengths && cloth.cut && !bill && (
          <Notice look="care">
            {cloth.name} was cut without a cutting sheet, by the strips of the plan.
          </Notice>
        )}
        {!lengths && cloth.trouble && <Notice>{cloth.trouble}</Notice>}
        {!lengths && cloth.squaredAt && <Notice look="care">{cloth.squaredAt}</Notice>}
        {!lengths && cloth.cutLarger && <Notice look="care">{cloth.cutLarger}</Notice>}
        {!lengths && cloth.shortBy && (
          <Notice look="care">
            {units.amount(cloth.shortBy)} of {cloth.name} are missing.
            {!cloth.bySheet && ' Under “What if” stands how many bags there is enough for.'}
          </Notice>
        )}
        <ProblemNotice
          problem={tick.error ?? aim.error ?? search.begin.error ?? search.stop.error ?? undefined}
        />
        {search.state?.failed && <Notice>The search broke off. Begin it again; nothing is lost.</Notice>}
        {search.running && (
          <Searching
            state={search.state}
            onStop={() => search.stop.mutate()}
            stopping={search.stop.isPending}
          />
        )}
      </div>
      <Cloths
        cloths={cutting.cloths}
        hasLengths={cutting.trims.length > 0}
        chosen={lengths ? LENGTHS : cloth.materialId}
        onChoose={setPicked}
      />
      {lengths && <Lengths trims={cutting.trims} />}
      {bill && (
        <>
          <Aims cloth={cloth} fixed={!open || cutting.begun} onChoose={(one) => aim.mutate(one)} />
          <div className="grid items-start gap-[18px] lg:grid-cols-[1fr_340px]">
            <div className="min-w-0 space-y-3.5">
              <div className="space-y-3">
                {cloth.mats.map((mat) => (
                  <Laid
                    key={mat.cloth}
                    mat={mat}
                    cloth={cloth}
                    step={mat.steps.find((step) => step === shown)}
                    zoomed={zoomed}
                    onZoom={() => setZoomed(!zoomed)}
                  />
                ))}
              </div>
              <Bill bill={bill} pieces={cloth.pieces} lines={cutting.lines} />
              {cutting.minutes && <CuttingTime batchId={id} minutes={cutting.minutes} onTaken={take} />}
              {open && !cloth.bySheet && (
                <WhatIf key={cloth.materialId} batchId={id} materialId={cloth.materialId} />
              )}
              {open && (
                <MachineMats key={`mats-${cloth.materialId}`} batchId={id} materialId={cloth.materialId} />
              )}
              <Files id={id} materialId={cloth.materialId} canTake={open && !cutting.begun} onTaken={take} />
              {open && (
                <label className="no-print flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={fromOffcuts}
                    onChange={(event) => setFromOffcuts(event.target.checked)}
                  />
                  Search offcuts and precuts too
                </label>
              )}
            </div>
            <div className="space-y-3">
              <CutSteps
                mats={cloth.mats}
                now={shown?.key}
                canTick={open}
                onTick={(step, done) => {
                  setLooked(undefined);
                  tick.mutate({ step, done });
                }}
                onLook={(step) => setLooked(step.key)}
              />
              {open && (
                <div className="no-print flex gap-2.5">
                  <Button
                    disabled={!next || tick.isPending}
                    onClick={() => canTick && next && tick.mutate({ step: next, done: true })}
                  >
                    Cut <kbd className="rounded border border-white/70 px-1.5 text-[12px]">C</kbd>
                  </Button>
                  <Button look="quiet" onClick={() => setPanel('spoiled')}>
                    Spoiled <kbd className="rounded border border-line-strong px-1.5 text-[12px]">X</kbd>
                  </Button>
                </div>
              )}
              {cutting.cautions.map((caution) => (
                <p key={caution.title} className="text-[14px]">
                  <b className="mr-1.5 rounded bg-weld-tint px-1.5 text-weld">{caution.title}</b>
                  {caution.text}
                </p>
              ))}
            </div>
          </div>
        </>
      )}
      {panel === 'spoiled' && <SpoiledPanel batchId={id} cloth={cloth} onClose={() => setPanel(undefined)} />}
      {(panel === 'cut' || panel === 'this') && (
        <StagePanel
          kind="cut"
          batchId={id}
          only={panel === 'this' ? cloth.materialId : undefined}
          onClose={() => setPanel(undefined)}
        />
      )}
    </>
  );
}

/** A cloth on its mat, which scrolls to the strip that comes next. */
function Laid({
  mat,
  cloth,
  step,
  zoomed,
  onZoom,
}: {
  mat: Schemas['MatView'];
  cloth: Schemas['ClothView'];
  step?: Step;
  zoomed: boolean;
  onZoom: () => void;
}) {
  const units = useUnits();
  const view = useRef<HTMLDivElement>(null);
  const from = step && step.across ? step.from / mat.length : 0;
  useEffect(() => {
    const scrolled = view.current;
    if (scrolled) scrolled.scrollTop = Math.max(0, from * scrolled.scrollHeight - scrolled.clientHeight / 3);
  }, [from, zoomed]);
  return (
    <figure className="rounded bg-[#173c37] p-1.5">
      <figcaption className="flex items-center justify-between px-2 text-[14px] text-white">
        <span>
          {mat.title}: {sides(units.own(mat.wide), units.own(mat.used))}{' '}
          <span className="text-[#c9d9d2]">({sides(units.other(mat.wide), units.other(mat.used))})</span>
        </span>
        {step?.across && step.kind === 'STRIP' && (
          <button type="button" className="no-print min-h-11 px-2 font-semibold text-yellow" onClick={onZoom}>
            {zoomed ? 'The whole cloth' : 'Zoom to the strip'}
          </button>
        )}
      </figcaption>
      <div
        ref={view}
        tabIndex={0}
        role="group"
        aria-label={`The cloth: ${mat.title}`}
        className="mat-view overflow-y-auto"
      >
        <Mat
          mat={mat}
          kinds={cloth.pieces}
          directional={cloth.directional}
          step={step}
          zoomed={zoomed && step !== undefined}
        />
      </div>
    </figure>
  );
}

function Searching({
  state,
  onStop,
  stopping,
}: {
  state?: Schemas['SearchView'];
  onStop: () => void;
  stopping: boolean;
}) {
  const share = Math.round((state?.progress ?? 0) * 100);
  return (
    <div className="sheet flex items-center gap-4 px-3.5 py-2" role="status">
      <progress className="h-2 w-40 accent-[#1d5a85]" max={100} value={share} aria-label="Search" />
      <span className="flex-1">Looking for better layouts{state?.best ? `: ${state.best}` : ' …'}</span>
      <Button look="quiet" onClick={onStop} disabled={stopping}>
        Stop and keep it
      </Button>
    </div>
  );
}

function Cloths({
  cloths,
  hasLengths,
  chosen,
  onChoose,
}: {
  cloths: Schemas['ClothView'][];
  hasLengths: boolean;
  chosen: number | typeof LENGTHS;
  onChoose: (id: number | typeof LENGTHS) => void;
}) {
  const look = (isChosen: boolean) =>
    `flex min-h-11 items-center gap-2 rounded border px-3 font-semibold ${
      isChosen ? 'border-woad bg-woad-tint' : 'border-line-strong bg-white'
    }`;
  return (
    <div className="no-print mb-3 flex flex-wrap gap-2" role="group" aria-label="Cloths and lengths">
      {cloths.map((cloth) => {
        const steps = cloth.mats.flatMap((mat) => mat.steps);
        const done = steps.filter((step) => step.done).length;
        return (
          <button
            key={cloth.materialId}
            type="button"
            aria-pressed={cloth.materialId === chosen}
            className={look(cloth.materialId === chosen)}
            onClick={() => onChoose(cloth.materialId)}
          >
            <span
              className="size-5 rounded-sm border border-line-strong"
              style={{ background: cloth.colour }}
              aria-hidden
            />
            {cloth.name}
            {cloth.cut && <Tag look="ok">cut</Tag>}
            {!cloth.cut && steps.length > 0 && (
              <span className="font-normal text-soft">
                {done} of {steps.length}
              </span>
            )}
          </button>
        );
      })}
      {hasLengths && (
        <button
          type="button"
          aria-pressed={chosen === LENGTHS}
          className={look(chosen === LENGTHS)}
          onClick={() => onChoose(LENGTHS)}
        >
          Lengths
        </button>
      )}
    </div>
  );
}

/** The maker's aims, each with what its layout costs in cloth and minutes. */
function Aims({
  cloth,
  fixed,
  onChoose,
}: {
  cloth: Schemas['ClothView'];
  fixed: boolean;
  onChoose: (aim: Aim) => void;
}) {
  const units = useUnits();
  if (cloth.aims.length < 2) return null;
  const order = Object.keys(AIMS) as Aim[];
  const aims = order.flatMap((aim) => cloth.aims.filter((one) => one.aim === aim));
  return (
    <div
      className="no-print mb-3 grid grid-cols-2 gap-2 md:grid-cols-4"
      role="group"
      aria-label="What counts"
    >
      {aims.map((aim) => (
        <button
          key={aim.aim}
          type="button"
          disabled={fixed}
          aria-pressed={aim.chosen}
          className={`min-h-11 rounded border px-3 py-1.5 text-left ${
            aim.chosen ? 'border-woad bg-woad-tint' : 'border-line-strong bg-white'
          }`}
          onClick={() => onChoose(aim.aim)}
        >
          <span className="flex justify-between gap-2 font-semibold">
            {AIMS[aim.aim]} <span>{aim.total.amount}</span>
          </span>
          <span className="block text-[13.5px] text-soft">
            {aim.sheets === undefined ? units.own(aim.length) : ofSheets(aim.sheets)}, {aim.time.text}
            {aim.toBuy && `, ${units.own(aim.toBuy)} to buy`}
            {aim.largest && `; back: ${aim.largest}`}
          </span>
        </button>
      ))}
    </div>
  );
}

const ofSheets = (count: number) => (count === 1 ? '1 sheet' : `${count} sheets`);

function Bill({
  bill,
  pieces,
  lines,
}: {
  bill: Schemas['BillView'];
  pieces: Schemas['PieceKind'][];
  lines: Schemas['LineName'][];
}) {
  const units = useUnits();
  const largest = bill.largest;
  return (
    <section className="space-y-3" aria-label="What it takes">
      <dl className="grid gap-3 md:grid-cols-3">
        <Fact
          figure={bill.over}
          words={`over the least possible; ${bill.overSheets === undefined ? `${units.own(bill.overLength)} of cloth` : ofSheets(bill.overSheets)}`}
        />
        <Fact
          figure={bill.time.text}
          words={`of cutting: ${bill.cuts} cuts, ${bill.settings} ruler ${bill.settings === 1 ? 'setting' : 'settings'}${
            bill.curves
              ? `, ${units.own(bill.curves)} along templates, ${bill.curvesAtOnce === 1 ? 'one piece' : `${bill.curvesAtOnce} pieces`} at a time`
              : ''
          }`}
        />
        <Fact
          figure={largest ? sides(units.own(largest.wide), units.own(largest.high)) : 'Nothing'}
          words={
            bill.kept > 1
              ? `and ${bill.kept - 1} more go back on the shelf, worth ${bill.goesBack.amount}`
              : largest
                ? `goes back on the shelf, worth ${bill.goesBack.amount}`
                : bill.overSheets === undefined
                  ? 'large enough goes back on the shelf'
                  : 'of a sheet is booked back'
          }
        />
      </dl>
      <p className="text-soft">
        Cloth {bill.cloth.amount}; with the minutes, and without what goes back as far as it is likely to be
        used, {bill.total.amount}.
      </p>
      <table className="listing sheet">
        <thead>
          <tr>
            <th>Piece</th>
            <th>Cut</th>
            <th>
              <span className="sr-only">In the other unit</span>
            </th>
            <th className="num">How many</th>
          </tr>
        </thead>
        <tbody>
          {pieces.map((kind) => (
            <tr key={kind.letter}>
              <td>
                <b>{kind.letter}</b> {kind.name}
                {lines.length > 0 && (
                  <span className="block text-[13px] text-soft">
                    {lines
                      .filter((line) => kind.lines.includes(line.number))
                      .map((line) => `${line.number} ${line.designName}, ${line.sizeName}`)
                      .join(' · ')}
                  </span>
                )}
                <Notes notes={kind.notes} />
              </td>
              <td>{sides(units.own(kind.width), units.own(kind.height))}</td>
              <td className="text-soft">{sides(units.other(kind.width), units.other(kind.height))}</td>
              <td className="num">
                {kind.count}
                {kind.again > 0 && ` + ${kind.again} once more`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Fact({ figure, words }: { figure: string; words: string }) {
  return (
    <div className="flex flex-col-reverse justify-end">
      <dt className="text-soft">{words}</dt>
      <dd className="text-[26px] leading-tight font-bold">{figure}</dd>
    </div>
  );
}

/** The sheets on paper, as a drawing and as an open file, out and in. */
function Files({
  id,
  materialId,
  canTake,
  onTaken,
}: {
  id: number;
  materialId: number;
  canTake: boolean;
  onTaken: (view: Cutting) => void;
}) {
  const base = `/api/batches/${id}/cutting`;
  const [unreadable, setUnreadable] = useState<string>();
  const send = useMutation({
    mutationFn: (document: unknown) => api.put<Cutting>(`${base}/${materialId}/layout`, document),
    onSuccess: onTaken,
  });
  const read = async (file: File) => {
    setUnreadable(undefined);
    if (file.size > LARGEST_FILE) {
      setUnreadable(
        `“${file.name}” has ${Math.round(file.size / 1e6)} MB; a layout has at most ${LARGEST_FILE / 1e6} MB. Take one that was saved here.`,
      );
      return;
    }
    try {
      send.mutate(JSON.parse(await file.text()));
    } catch {
      setUnreadable(`“${file.name}” isn’t a layout: it can’t be read as JSON. Take one that was saved here.`);
    }
  };
  const link = 'inline-flex min-h-11 items-center px-1 font-semibold text-woad';
  return (
    <div className="no-print">
      <div className="flex flex-wrap items-center gap-x-4">
        <a className={link} href={`${base}/print`} download>
          On paper (PDF)
        </a>
        <a className={link} href={`${base}/${materialId}/drawing`} download>
          Drawing (SVG)
        </a>
        <a className={link} href={`${base}/${materialId}/layout`} download>
          Layout (JSON)
        </a>
        {canTake && (
          <label className={`${link} cursor-pointer`}>
            Take a layout from a file
            <input
              type="file"
              accept=".json,application/json"
              className="sr-only"
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (file) void read(file);
                event.target.value = '';
              }}
            />
          </label>
        )}
      </div>
      {unreadable && <Notice>{unreadable}</Notice>}
      <ProblemNotice problem={send.error ?? undefined} />
    </div>
  );
}
