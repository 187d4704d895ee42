import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { api, type Problem, type Schemas } from '../../api/client';
import { keys, useBatch, useDesign, useDesignDocuments, useDesignNames, useFairs } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { RunningStitch } from '../../ui/RunningStitch';
import { Ticket } from '../../ui/Ticket';
import { day } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { useTitle } from '../../ui/useTitle';
import { BatchDays } from '../days/BatchDays';
import { ClashPanel } from '../designs/ClashPanel';
import { BatchChoices, Purpose } from './BatchChoices';
import { BatchGrid } from './BatchGrid';
import { BatchLines } from './BatchLines';
import { BatchSheet } from './BatchSheet';
import { ChangedDesigns } from './ChangedDesigns';
import { CutOffers } from './CutOffers';
import { filled, gridOf, type LineForm } from './grid';
import { LineDetail } from './LineChoices';
import { MarginalPart } from './MarginalPart';
import { OffcutOffers } from './OffcutOffers';
import { OrderOfWork, OrderWhileTyped } from './OrderOfWork';
import { Replacing } from './Replacing';
import { Reserving } from './Reserving';
import { StagePanel } from './StagePanel';
import { StartPart } from './StartPart';
import { WaysPanel } from './WaysPanel';
import { MadeOf, WholeTicket } from './WholeTicket';

type Form = Schemas['BatchForm'];
type Batch = Schemas['BatchView'];
type Design = Schemas['DesignView'];

export default function BatchPage() {
  const { id } = useParams();
  const [search] = useSearchParams();
  const number = id === undefined ? undefined : Number(id);
  const { data: batch, error } = useBatch(number);
  const { data: designs } = useDesignNames();
  const [picked, setPicked] = useState<number>();
  const asked = search.get('design');
  const designId = batch?.lines[0]?.designId ?? picked ?? (asked ? Number(asked) : designs?.[0]?.id);
  const { data: design, error: noDesign } = useDesign(designId);
  if (error || noDesign) return <ProblemNotice problem={error ?? noDesign} />;
  if (number === undefined && designs?.length === 0) {
    return (
      <section className="sheet max-w-[640px] p-5">
        <h1>A batch needs a design</h1>
        <p className="mt-2 mb-4 text-soft">Design your first bag, then plan how many to make.</p>
        <ButtonLink to="/designs">To the designs</ButtonLink>
      </section>
    );
  }
  if (!design || (number !== undefined && !batch)) return <p className="text-soft">Opening the batch …</p>;
  return (
    <Editor
      key={`${number ?? 'new'}-${design.id}${begunFrom(search)}`}
      begun={number === undefined ? search : undefined}
      batch={batch}
      design={design}
      designs={withChosen(designs ?? [], design)}
      onDesign={setPicked}
    />
  );
}

/** The designs to choose from, with the one that is chosen even where it is put away. */
function withChosen(designs: Schemas['DesignName'][], chosen: Design) {
  return designs.some((one) => one.id === chosen.id)
    ? designs
    : [...designs, { id: chosen.id, name: chosen.document.name }];
}

/** Tells a new batch that was begun from something apart from others of its design: a draft of those isn’t its own. */
const begunFrom = (begun?: URLSearchParams) =>
  begun?.has('slot') || begun?.has('for') ? `-${begun.toString()}` : '';

/** The first line of a new batch, in the usual materials or with what is in the hand. */
function firstLine(design: Design, begun?: URLSearchParams): LineForm {
  const slot = begun?.get('slot');
  const usual = design.document.slots.flatMap((one) =>
    one.materialId === undefined ? [] : [{ slot: one.key, materialId: one.materialId }],
  );
  return {
    designId: design.id,
    sizeName: begun?.get('size') ?? design.document.sizes[design.document.sizes.length - 1] ?? '',
    units: String(begun?.get('units') ?? design.document.usualUnits),
    materials: slot
      ? [
          ...usual.filter((choice) => choice.slot !== slot),
          { slot, materialId: Number(begun?.get('material')) },
        ]
      : usual,
    ownPrice: '',
  };
}

function startOf(design: Design, batch: Batch | undefined, requestId: string, begun?: URLSearchParams): Form {
  const lot = begun?.get('lot');
  return {
    requestId,
    version: batch?.version ?? 0,
    batchId: batch?.id,
    lines: batch
      ? batch.lines.map(
          ({
            number,
            designId,
            revision,
            sizeName,
            wanted,
            started,
            materials,
            ownPrice,
            brought,
            picks,
          }) => ({
            number,
            designId,
            revision,
            sizeName,
            units: String(wanted),
            started: started > wanted ? String(started) : undefined,
            materials,
            ownPrice,
            brought,
            picks,
          }),
        )
      : [firstLine(design, begun)],
    offcuts: batch?.offcuts ?? (lot ? [Number(lot)] : []),
    dueOn: batch?.dueOn ?? begun?.get('due') ?? undefined,
    forWhat: batch?.forWhat ?? begun?.get('for') ?? '',
  };
}

/** Which fields of which line an answer finds wrong; of a batch of one line its fields go by their names alone. */
function lineProblems(problem: Problem | null | undefined, places: number[]) {
  const of = (place: number, field: string) => {
    const sent = places.indexOf(place);
    if (!problem || sent < 0) return undefined;
    return problem.on(places.length === 1 ? field : `lines.${sent}.${field}`);
  };
  const units = new Map<number, string>();
  places.forEach((place) => {
    const wrong = of(place, 'units');
    if (wrong) units.set(place, wrong);
  });
  return { of, units };
}

function Editor({
  batch,
  begun,
  design,
  designs,
  onDesign,
}: {
  batch?: Batch;
  /** What a new batch begins with, where it was begun from something in the hand. */
  begun?: URLSearchParams;
  design: Design;
  designs: Schemas['DesignName'][];
  onDesign: (id: number) => void;
}) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const request = useRequestId();
  const { data: fairs } = useFairs();
  const draft = useDraft<Form>(
    `mardun.batch.${batch?.id ?? `new-${design.id}${begunFrom(begun)}`}`,
    startOf(design, batch, request.id, begun),
  );
  // A tab may still hold a draft from before batches had lines.
  const form = draft.value?.lines ? draft.value : startOf(design, batch, request.id, begun);
  const [spreadOut, setSpreadOut] = useState(false);
  const [looked, setLooked] = useState<number>();
  const [confirming, setConfirming] = useState<'cut' | 'finish' | 'more'>();
  const documents = useDesignDocuments(form.lines);
  const several = form.lines.length > 1 || spreadOut;
  const { lines: sent, places } = filled(form.lines);
  const sending = { ...form, lines: sent };
  const settled = useSettled(sending, 60);
  const isNew = batch === undefined;
  const only = form.lines[0] ?? firstLine(design);
  const total = sent.reduce((sum, line) => sum + (Number(line.units) || 0), 0);
  useTitle(
    isNew
      ? 'New batch'
      : `Batch ${batch.id}: ${several ? `${total} bags` : `${only.units} × ${design.document.name}`}`,
  );
  const planned = isNew || batch.stage === 'PLANNED';
  const previewed = planned && (isNew || draft.isChanged);
  const nothing = settled.lines.length === 0;
  const preview = useQuery({
    queryKey: ['batch-preview', settled],
    queryFn: ({ signal }) => api.post<Schemas['BatchSheet']>('/api/batches/preview', settled, signal),
    placeholderData: keepPreviousData,
    enabled: previewed && !nothing,
    gcTime: 10_000,
  });
  const sheet = previewed ? (preview.data ?? batch?.sheet) : batch?.sheet;
  const save = useSend(
    ({ typed, over }: { typed: Form; over?: number }) => {
      const { lines } = filled(typed.lines);
      return isNew
        ? api.post<Batch>('/api/batches', { ...typed, lines })
        : api.put<Batch>(`/api/batches/${batch.id}`, { ...typed, lines, version: over ?? typed.version });
    },
    (saved, { typed }) => {
      client.setQueryData([...keys.batches, saved.id], saved);
      setLooked(undefined);
      if (isNew) {
        draft.giveUp();
        navigate(`/batches/${saved.id}`, { replace: true });
      } else {
        draft.saved(typed, startOf(design, saved, request.id));
      }
    },
  );
  const change = (next: Partial<Form>) => {
    if (save.problem && !save.problem.isClash) save.reset();
    draft.change({ ...form, ...next });
  };
  const changeLine = (place: number, next: Partial<LineForm>) =>
    change({ lines: form.lines.map((line, i) => (i === place ? { ...line, ...next } : line)) });
  const placeOf = (number: number) =>
    places[sheet?.lines.findIndex((one) => one.number === number) ?? -1] ?? 0;
  const broughtTo = (place: number, materialId: number) =>
    form.lines[place]?.brought?.find((one) => one.materialId === materialId)?.bags ?? 0;
  const bring = (place: number, materialId: number, bags: number) => {
    const others = form.lines[place]?.brought?.filter((one) => one.materialId !== materialId) ?? [];
    changeLine(place, { brought: bags > 0 ? [...others, { materialId, bags }] : others });
  };
  const problem = save.problem && !save.problem.isClash ? save.problem : undefined;
  const typedWrong = lineProblems(problem ?? (preview.error as Problem | null), places);
  const unitsProblem = several ? undefined : typedWrong.of(0, 'units');
  const refused = sheet?.findings.filter((finding) => finding.severity === 'REFUSED') ?? [];
  const care = sheet?.findings.filter((finding) => finding.severity === 'CARE' && !finding.setAside) ?? [];
  const at = looked !== undefined && form.lines[looked] ? looked : 0;
  const line = form.lines[at] ?? only;
  const lineSheet = several ? sheet?.lines[looked === undefined ? -1 : places.indexOf(at)] : sheet?.lines[0];
  const { data: lineTicket } = useQuery({
    queryKey: ['batch-ticket', previewed ? settled : [batch?.id, batch?.version], lineSheet?.number],
    queryFn: ({ signal }) =>
      previewed
        ? api.post<Schemas['TicketView']>(
            `/api/batches/preview/ticket?line=${places.indexOf(at)}`,
            settled,
            signal,
          )
        : api.get<Schemas['TicketView']>(`/api/batches/${batch?.id}/tickets/${lineSheet?.number}`),
    enabled: several && lineSheet?.each !== undefined && places.indexOf(at) < settled.lines.length,
    placeholderData: keepPreviousData,
    gcTime: 10_000,
    retry: false,
  });
  const document = documents.get(line.designId) ?? design.document;
  const lineName = `${document.name}, ${sheet?.lines[places.indexOf(at)]?.sizeName ?? line.sizeName}`;
  const closed = batch?.stage === 'FINISHED' || batch?.stage === 'DROPPED';
  const givenUp = batch?.stage === 'DROPPED' && batch.lines.some((one) => one.open > 0);
  const done = batch?.lines.reduce((sum, one) => sum + one.good + one.seconds, 0) ?? 0;
  // While several lines are planned, each has its price beside its materials.
  const ownPrice = !closed && (!several || !planned) && (
    <label className="mt-3 block">
      <span className="text-[13px] font-semibold text-soft">My own price at the stall</span>
      <input
        className="field"
        inputMode="decimal"
        placeholder="as worked out"
        aria-invalid={!!typedWrong.of(at, 'ownPrice')}
        value={line.ownPrice}
        onChange={(event) => changeLine(at, { ownPrice: event.target.value })}
      />
    </label>
  );
  return (
    <>
      <header className="flex flex-wrap items-center justify-between gap-4">
        <div>
          <div className="text-soft">
            {isNew ? 'New batch' : `Batch ${batch.id}`}
            {form.forWhat && ` · for ${form.forWhat}`}
            {form.dueOn && `, ${day(form.dueOn)}`}
            {batch?.paused && ' · put aside'}
            {batch?.stage === 'DROPPED' && (givenUp ? ' · given up' : ' · dropped after it was cut')}
          </div>
          <h1>
            {several ? (
              `${total} bags of ${gridOf(form.lines, documents).rows.length} kinds`
            ) : (
              <>
                {batch &&
                  batch.stage !== 'PLANNED' &&
                  batch.stage !== 'DROPPED' &&
                  `${closed ? done : (sheet?.units ?? '')} × `}
                {sheet?.lines[0]?.designName ?? design.document.name}, {only.sizeName}
              </>
            )}
          </h1>
        </div>
        <div className="no-print flex flex-wrap items-center gap-2.5">
          {planned && !several && <Units units={only.units} onChange={(units) => changeLine(0, { units })} />}
          {draft.isChanged && !isNew && (
            <Button
              look="quiet"
              onClick={() => {
                draft.giveUp();
                save.reset();
                setLooked(undefined);
              }}
            >
              Undo
            </Button>
          )}
          {(isNew || draft.isChanged) && (
            <Button
              onClick={() => !save.isPending && save.mutate({ typed: form })}
              disabled={save.isPending || !sheet || sent.length === 0}
            >
              {isNew ? 'Save this plan' : 'Save'}
            </Button>
          )}
          {!isNew && !draft.isChanged && (
            <Ways batch={batch} onConfirm={setConfirming} onMore={() => setConfirming('more')} />
          )}
        </div>
      </header>
      <div className="my-3.5 max-w-[830px]">
        <RunningStitch stage={givenUp ? 'PLANNED' : batch?.stage} width={830} />
      </div>
      <div className="space-y-2 not-empty:mb-3">
        {unitsProblem && <Notice>{unitsProblem}</Notice>}
        {!unitsProblem && typedWrong.units.size === 0 && <ProblemNotice problem={problem ?? preview.error} />}
        <Findings sentences={[...new Set([...refused, ...care].map((finding) => finding.sentence))]} />
      </div>
      {batch && !draft.isChanged && <ChangedDesigns batch={batch} />}
      <div className="grid items-start gap-[18px] lg:grid-cols-[1fr_292px]">
        <div className="min-w-0 space-y-3.5">
          {planned && !several && (
            <BatchChoices
              form={form}
              line={only}
              document={documents.get(only.designId) ?? design.document}
              designs={designs}
              fairs={fairs ?? []}
              canChangeDesign={isNew}
              onDesign={onDesign}
              onLine={(next) => changeLine(0, next)}
              onChange={change}
            >
              <button
                type="button"
                className="mt-2 min-h-8 font-semibold text-woad hover:underline"
                onClick={() => setSpreadOut(true)}
              >
                Make other designs, sizes or cloths with it …
              </button>
            </BatchChoices>
          )}
          {planned && several && (
            <>
              <section className="sheet no-print p-3" aria-label="Choices">
                <div className="grid grid-cols-2 gap-3">
                  <Purpose form={form} fairs={fairs ?? []} onChange={change} />
                </div>
              </section>
              <BatchGrid
                lines={form.lines}
                documents={documents}
                designs={designs}
                problems={typedWrong.units}
                chosen={looked}
                onChoose={setLooked}
                onChange={(lines) => change({ lines })}
              />
              {looked !== undefined && documents.get(line.designId) && (
                <LineDetail
                  key={at}
                  line={line}
                  document={document}
                  name={lineName}
                  problem={(field) => typedWrong.of(at, field)}
                  onChange={(next) => changeLine(at, next)}
                >
                  <StartPart
                    form={settled}
                    line={places.indexOf(at)}
                    onBegin={(started) => changeLine(at, { started })}
                  />
                  <MarginalPart form={settled} line={places.indexOf(at)} />
                </LineDetail>
              )}
            </>
          )}
          {!planned && batch.lines.length > 1 && sheet && (
            <BatchLines batch={batch} sheet={sheet} chosen={looked} onChoose={setLooked} />
          )}
          {sheet && planned && (
            <CutOffers
              offers={sheet.cutBefore}
              several={several}
              chosen={(offer) => broughtTo(placeOf(offer.line), offer.materialId)}
              onChoose={(offer, bags) => bring(placeOf(offer.line), offer.materialId, bags)}
            />
          )}
          {sheet && planned && (
            <OffcutOffers
              offers={sheet.offcuts}
              chosen={form.offcuts ?? []}
              onChoose={(lotId, chosen) =>
                change({
                  offcuts: chosen
                    ? [...(form.offcuts ?? []), lotId]
                    : (form.offcuts ?? []).filter((one) => one !== lotId),
                })
              }
            />
          )}
          {sheet && (
            <BatchSheet
              sheet={sheet}
              stage={batch?.stage}
              order={
                !isNew && !draft.isChanged && !closed ? (
                  <>
                    <BatchDays batchId={batch.id} />
                    <OrderOfWork batch={batch} />
                  </>
                ) : planned && previewed && !nothing ? (
                  <OrderWhileTyped form={settled} several={settled.lines.length > 1} />
                ) : undefined
              }
              reserving={
                !isNew && !draft.isChanged && !closed ? <Reserving batch={batch} sheet={sheet} /> : undefined
              }
              replacing={
                planned && !several
                  ? (need) => (
                      <Replacing
                        need={need}
                        form={sending}
                        line={0}
                        onChoose={(slot, materialId) =>
                          changeLine(0, {
                            materials: [
                              ...only.materials.filter((choice) => choice.slot !== slot),
                              { slot, materialId },
                            ],
                          })
                        }
                      />
                    )
                  : undefined
              }
            />
          )}
        </div>
        {several && !lineSheet ? (
          <WholeTicket sheet={sheet} stale={preview.isFetching} onChoose={(i) => setLooked(places[i])} />
        ) : (
          <div>
            {several && (
              <button
                type="button"
                className="no-print mb-1 min-h-8 font-semibold text-woad hover:underline"
                onClick={() => setLooked(undefined)}
              >
                The whole batch
              </button>
            )}
            <Ticket
              picture={lineSheet?.finished?.picture}
              ticket={several ? lineTicket : lineSheet?.ticket}
              title={
                several && lineSheet
                  ? `${lineSheet.designName}, ${lineSheet.sizeName}${lineSheet.clothName && ` · ${lineSheet.clothName}`}`
                  : undefined
              }
              planned={batch?.lines.find((one) => one.number === lineSheet?.number)?.plannedCost}
              missing={
                refused[0]?.sentence ??
                (batch?.stage === 'DROPPED' && !givenUp
                  ? 'None of it is made. What was put by keeps what its cloth cost.'
                  : closed && done === 0
                    ? 'None came out well, so there is nothing to price.'
                    : 'The ticket follows from the plan.')
              }
              stale={preview.isFetching}
            >
              {ownPrice}
            </Ticket>
            {!several && sheet && sheet.parts.length > 0 && (
              <section className="sheet mt-3 px-4 py-1">
                <MadeOf sheet={sheet} />
              </section>
            )}
          </div>
        )}
      </div>
      {confirming === 'more' && batch && (
        <WaysPanel batchId={batch.id} onClose={() => setConfirming(undefined)} />
      )}
      {confirming && confirming !== 'more' && batch && (
        <StagePanel kind={confirming} batchId={batch.id} onClose={() => setConfirming(undefined)} />
      )}
      {save.problem?.isClash && (
        <ClashPanel
          sentence={save.problem.message}
          onKeepMine={() => save.mutate({ typed: form, over: save.problem?.currentVersion })}
          onTakeTheirs={() => {
            draft.giveUp();
            save.reset();
            void client.invalidateQueries();
          }}
          onLater={() => save.reset()}
        />
      )}
    </>
  );
}

/** How many findings are shown before the others wait behind a line. */
const SHOWN_FINDINGS = 2;

/** What to look at; where it is much, the first of it, so that the plan stays in sight. */
function Findings({ sentences }: { sentences: string[] }) {
  const first = sentences.length > SHOWN_FINDINGS + 1 ? sentences.slice(0, SHOWN_FINDINGS) : sentences;
  const others = sentences.slice(first.length);
  const notice = (sentence: string) => (
    <Notice key={sentence} look="care">
      {sentence}
    </Notice>
  );
  return (
    <>
      {first.map(notice)}
      {others.length > 0 && (
        <details className="space-y-2">
          <summary className="min-h-8 cursor-pointer font-semibold text-weld">
            {others.length} more to look at
          </summary>
          {others.map(notice)}
        </details>
      )}
    </>
  );
}

/** Where a batch can go from where it is. */
function Ways({
  batch,
  onConfirm,
  onMore,
}: {
  batch: Batch;
  onConfirm: (kind: 'cut' | 'finish') => void;
  onMore: () => void;
}) {
  const tally = (
    <ButtonLink to={`/batches/${batch.id}/tally`} look="quiet">
      Tally
    </ButtonLink>
  );
  if (batch.stage === 'FINISHED')
    return (
      <>
        {batch.lines.some((line) => line.putBy > 0) && (
          <Button look="quiet" onClick={onMore}>
            Its cut pieces …
          </Button>
        )}
        {tally}
      </>
    );
  if (batch.stage === 'DROPPED') {
    if (!batch.lines.some((line) => line.putBy > 0 || line.open > 0)) return null;
    return (
      <Button look="quiet" onClick={onMore}>
        {batch.lines.some((line) => line.putBy > 0) ? 'Its cut pieces …' : 'Take it up again …'}
      </Button>
    );
  }
  const uncut = batch.stage === 'PLANNED' || batch.stage === 'CUTTING';
  return (
    <>
      <Button look="quiet" onClick={onMore}>
        More …
      </Button>
      {batch.stage === 'PLANNED' && (
        <Button look="quiet" onClick={() => window.print()}>
          Print
        </Button>
      )}
      <ButtonLink to={`/batches/${batch.id}/gather`} look="quiet">
        Gather
      </ButtonLink>
      <ButtonLink to={`/batches/${batch.id}/cutting`} look="quiet">
        Cutting sheet
      </ButtonLink>
      {!uncut && tally}
      {uncut ? (
        <Button onClick={() => onConfirm('cut')}>Cut it</Button>
      ) : (
        <Button onClick={() => onConfirm('finish')}>Bags are finished</Button>
      )}
    </>
  );
}

/** How many, with a thumb or by typing. */
function Units({ units, onChange }: { units: string; onChange: (units: string) => void }) {
  const count = Number(units);
  const step = (by: number) => onChange(String(Math.max(1, (Number.isInteger(count) ? count : 1) + by)));
  return (
    <span className="inline-flex h-11 items-center overflow-hidden rounded border border-line-strong bg-white">
      <button
        type="button"
        aria-label="One fewer"
        className="h-full w-11 text-xl font-bold text-woad"
        onClick={() => step(-1)}
      >
        –
      </button>
      <input
        aria-label="How many"
        inputMode="numeric"
        className="h-full w-16 border-x border-line text-center text-xl font-bold"
        value={units}
        onChange={(event) => onChange(event.target.value)}
      />
      <button
        type="button"
        aria-label="One more"
        className="h-full w-11 text-xl font-bold text-woad"
        onClick={() => step(1)}
      >
        +
      </button>
    </span>
  );
}
