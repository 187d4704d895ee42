import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useBatch, useDesign, useDesignNames, useFairs } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { RunningStitch } from '../../ui/RunningStitch';
import { Ticket } from '../../ui/Ticket';
import { day } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { ClashPanel } from '../designs/ClashPanel';
import { BatchChoices } from './BatchChoices';
import { BatchSheet } from './BatchSheet';
import { OffcutOffers } from './OffcutOffers';
import { Replacing } from './Replacing';
import { Reserving } from './Reserving';
import { StagePanel } from './StagePanel';
import { useTitle } from '../../ui/useTitle';

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
  const designId = batch?.designId ?? picked ?? (asked ? Number(asked) : designs?.[0]?.id);
  const { data: design, error: noDesign } = useDesign(designId);
  if (error || noDesign) return <ProblemNotice problem={error ?? noDesign} />;
  if (number === undefined && designs?.length === 0) {
    return (
      <section className="sheet max-w-[640px] p-5">
        <h1>A batch needs a design</h1>
        <p className="mt-2 mb-4 text-soft">Measure your first pouch, then plan how many to make.</p>
        <ButtonLink to="/designs">To the designs</ButtonLink>
      </section>
    );
  }
  if (!design || (number !== undefined && !batch)) return <p className="text-soft">Opening the batch …</p>;
  return (
    <Editor
      key={`${number ?? 'new'}-${design.id}-${search.get('slot') ?? ''}`}
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

function startOf(design: Design, batch: Batch | undefined, requestId: string, begun?: URLSearchParams): Form {
  const slot = begun?.get('slot');
  const lot = begun?.get('lot');
  const usual =
    batch?.materials ??
    design.document.slots.flatMap((one) =>
      one.materialId === undefined ? [] : [{ slot: one.key, materialId: one.materialId }],
    );
  return {
    requestId,
    version: batch?.version ?? 0,
    batchId: batch?.id,
    designId: design.id,
    sizeName:
      batch?.sheet.sizeName ??
      begun?.get('size') ??
      design.document.sizes[design.document.sizes.length - 1] ??
      '',
    units: String(batch?.sheet.units ?? begun?.get('units') ?? design.document.usualUnits),
    materials: slot
      ? [
          ...usual.filter((choice) => choice.slot !== slot),
          { slot, materialId: Number(begun?.get('material')) },
        ]
      : usual,
    offcuts: batch?.offcuts ?? (lot ? [Number(lot)] : []),
    ownPrice: batch?.ownPrice ?? '',
    dueOn: batch?.dueOn,
    forWhat: batch?.forWhat ?? '',
  };
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
    `mardun.batch.${batch?.id ?? `new-${design.id}${begun?.get('slot') ? `-${begun.toString()}` : ''}`}`,
    startOf(design, batch, request.id, begun),
  );
  const form = draft.value ?? startOf(design, batch, request.id, begun);
  const [confirming, setConfirming] = useState<'cut' | 'finish'>();
  const settled = useSettled(form, 60);
  const isNew = batch === undefined;
  useTitle(isNew ? 'New batch' : `Batch ${batch.id}: ${form.units} × ${design.document.name}`);
  const planned = isNew || batch.stage === 'PLANNED';
  const previewed = planned && (isNew || draft.isChanged);
  const preview = useQuery({
    queryKey: ['batch-preview', settled],
    queryFn: ({ signal }) => api.post<Schemas['BatchSheet']>('/api/batches/preview', settled, signal),
    placeholderData: keepPreviousData,
    enabled: previewed,
    gcTime: 10_000,
  });
  const sheet = previewed ? (preview.data ?? batch?.sheet) : batch?.sheet;
  const save = useSend(
    (over?: number) =>
      isNew
        ? api.post<Batch>('/api/batches', form)
        : api.put<Batch>(`/api/batches/${batch.id}`, { ...form, version: over ?? form.version }),
    (saved) => {
      draft.giveUp();
      if (isNew) navigate(`/batches/${saved.id}`, { replace: true });
    },
  );
  const giveUp = useSend(
    () => api.remove(`/api/batches/${batch?.id}?version=${batch?.version}`),
    () => navigate('/batches'),
  );
  const change = (next: Partial<Form>) => {
    if (save.problem && !save.problem.isClash) save.reset();
    draft.change({ ...form, ...next });
  };
  const choose = (slot: string, materialId: number) =>
    change({
      materials: [...form.materials.filter((choice) => choice.slot !== slot), { slot, materialId }],
    });
  const refused = sheet?.findings.filter((finding) => finding.severity === 'REFUSED') ?? [];
  const care = sheet?.findings.filter((finding) => finding.severity === 'CARE' && !finding.setAside) ?? [];
  const problem = save.problem && !save.problem.isClash ? save.problem : undefined;
  const unitsProblem = (preview.error as { on?: (field: string) => string | undefined } | null)?.on?.(
    'units',
  );
  return (
    <>
      <header className="flex flex-wrap items-center justify-between gap-4">
        <div>
          <div className="text-soft">
            {isNew ? 'New batch' : `Batch ${batch.id}`}
            {form.forWhat && ` · for ${form.forWhat}`}
            {form.dueOn && `, ${day(form.dueOn)}`}
          </div>
          <h1>
            {batch && batch.stage !== 'PLANNED' && `${batch.finishedUnits ?? sheet?.units} × `}
            {sheet?.designName ?? design.document.name}, {form.sizeName}
          </h1>
        </div>
        <div className="no-print flex flex-wrap items-center gap-2.5">
          {planned && <Units units={form.units} onChange={(units) => change({ units })} />}
          {draft.isChanged && !isNew && (
            <Button look="quiet" onClick={draft.giveUp}>
              Undo
            </Button>
          )}
          {(isNew || draft.isChanged) && (
            <Button onClick={() => save.mutate(undefined)} disabled={save.isPending || !sheet}>
              {isNew ? 'Keep this plan' : 'Save'}
            </Button>
          )}
          {!isNew && !draft.isChanged && batch.stage === 'PLANNED' && (
            <>
              <Button look="quiet" onClick={() => giveUp.mutate(undefined)} disabled={giveUp.isPending}>
                Give up
              </Button>
              <Button look="quiet" onClick={() => window.print()}>
                Print
              </Button>
              <ButtonLink to={`/batches/${batch.id}/cutting`} look="quiet">
                Cutting sheet
              </ButtonLink>
              <Button onClick={() => setConfirming('cut')}>Cut it</Button>
            </>
          )}
          {!isNew && !draft.isChanged && batch.stage === 'CUT' && (
            <ButtonLink to={`/batches/${batch.id}/cutting`} look="quiet">
              Cutting sheet
            </ButtonLink>
          )}
          {!isNew && !draft.isChanged && batch.stage === 'CUT' && (
            <Button onClick={() => setConfirming('finish')}>Bags are finished</Button>
          )}
        </div>
      </header>
      <div className="my-3.5 max-w-[830px]">
        <RunningStitch stage={batch?.stage} width={830} />
      </div>
      <div className="space-y-2 not-empty:mb-3">
        {unitsProblem && <Notice>{unitsProblem}</Notice>}
        {!unitsProblem && <ProblemNotice problem={problem ?? giveUp.problem ?? preview.error} />}
        {[...new Set([...refused, ...care].map((finding) => finding.sentence))].map((sentence) => (
          <Notice key={sentence} look="care">
            {sentence}
          </Notice>
        ))}
      </div>
      <div className="grid items-start gap-[18px] lg:grid-cols-[1fr_292px]">
        <div className="min-w-0 space-y-3.5">
          {planned && (
            <BatchChoices
              form={form}
              design={design}
              designs={designs}
              fairs={fairs ?? []}
              canChangeDesign={isNew}
              onDesign={onDesign}
              onChange={change}
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
              reserving={
                !isNew && !draft.isChanged && batch.stage !== 'FINISHED' ? (
                  <Reserving batch={batch} sheet={sheet} />
                ) : undefined
              }
              replacing={
                planned ? (need) => <Replacing need={need} form={form} onChoose={choose} /> : undefined
              }
            />
          )}
        </div>
        <Ticket
          ticket={sheet?.ticket}
          planned={batch?.plannedCost}
          missing={
            refused[0]?.sentence ??
            (batch?.finishedUnits === 0
              ? 'None came out well, so there is nothing to price.'
              : 'The ticket follows from the plan.')
          }
          stale={preview.isFetching}
        >
          {batch?.stage !== 'FINISHED' && (
            <label className="mt-3 block">
              <span className="text-[13px] font-semibold text-soft">My own price at the stall</span>
              <input
                className="field"
                inputMode="decimal"
                placeholder="as worked out"
                aria-invalid={!!problem?.on('ownPrice')}
                value={form.ownPrice}
                onChange={(event) => change({ ownPrice: event.target.value })}
              />
            </label>
          )}
        </Ticket>
      </div>
      {confirming && batch && (
        <StagePanel kind={confirming} batchId={batch.id} onClose={() => setConfirming(undefined)} />
      )}
      {save.problem?.isClash && (
        <ClashPanel
          sentence={save.problem.message}
          onKeepMine={() => save.mutate(save.problem?.currentVersion)}
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
