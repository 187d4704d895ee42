import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, Problem, type Schemas } from '../../api/client';
import { useDesign, useMaterials } from '../../api/queries';
import { BagOutline } from '../../ui/BagOutline';
import { Button, ButtonLink } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { PieceDrawings } from '../../ui/PieceDrawing';
import { Ticket } from '../../ui/Ticket';
import { useUnits } from '../../ui/units';
import { useDraft } from '../../ui/useDraft';
import { useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { WorkedFigure } from '../../ui/WorkedFigure';
import { ClashPanel } from './ClashPanel';
import { MeasurementTable } from './MeasurementTable';
import { StepTable } from './StepTable';

type Document = Schemas['DesignDocument'];
type Sheet = Schemas['DesignSheet'];
type Size = Schemas['SizeSheet'];

const SCHOOLS: Record<Document['boxed']['school'], string> = {
  CUT_BEFORE_SEWING: 'Squares cut out before sewing',
  CUT_AFTER_SEWING: 'Squares cut out after sewing, from the stitching',
  LINE_ACROSS: 'A line across the flattened corner',
  SNIPPED: 'Snipped to the stitching, one straight seam',
  BOXED_AS_ONE: 'Outer and lining boxed in one seam',
};

interface Draft {
  version: number;
  document: Document;
}

export default function DesignPage() {
  const id = Number(useParams().id);
  const { data, error } = useDesign(id);
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening the design …</p>;
  return <DesignEditor key={id} design={data} />;
}

function DesignEditor({ design }: { design: Schemas['DesignView'] }) {
  const draft = useDraft<Draft>(`mardun.design.${design.id}`, {
    version: design.version,
    document: design.document,
  });
  const { version, document } = draft.value ?? { version: design.version, document: design.document };
  const client = useQueryClient();
  const [size, setSize] = useState(document.sizes[document.sizes.length - 1] ?? '');
  const settled = useSettled(document, 60);
  const preview = useQuery({
    queryKey: ['design-preview', settled],
    queryFn: ({ signal }) => api.post<Sheet>('/api/designs/preview', { document: settled }, signal),
    placeholderData: keepPreviousData,
    enabled: draft.isChanged,
    gcTime: 10_000,
  });
  const sheet = draft.isChanged ? (preview.data ?? design.sheet) : design.sheet;
  const shown = sheet.sizes.find((s) => s.size === size) ?? sheet.sizes[0];
  const save = useSend(
    (over?: number) =>
      api.put<Schemas['DesignView']>(`/api/designs/${design.id}`, { version: over ?? version, document }),
    () => draft.giveUp(),
  );
  const change = (next: Partial<Document>) => draft.change({ version, document: { ...document, ...next } });
  return (
    <>
      <header className="mb-3 flex items-center justify-between gap-4">
        <div className="min-w-0 flex-1">
          <div className="text-soft">Design · lined, boxed zip pouch</div>
          <input
            aria-label="Name of the design"
            className="-ml-1 w-full max-w-[460px] rounded border border-transparent bg-transparent px-1 text-2xl font-bold hover:border-line-strong focus:bg-white"
            value={document.name}
            onChange={(event) => change({ name: event.target.value })}
          />
          {save.problem?.on('name') && <div className="text-madder">{save.problem.on('name')}</div>}
        </div>
        <div className="flex gap-2.5">
          {draft.isChanged ? (
            <>
              <Button look="quiet" onClick={draft.giveUp}>
                Undo all
              </Button>
              <Button onClick={() => save.mutate(undefined)} disabled={save.isPending}>
                Save
              </Button>
            </>
          ) : (
            <ButtonLink to={`/batches/new?design=${design.id}`}>Plan a batch</ButtonLink>
          )}
        </div>
      </header>
      <Troubles problem={save.problem} preview={preview.error} shown={shown} />
      <div className="grid items-start gap-[18px] lg:grid-cols-[1fr_292px]">
        <div className="min-w-0 space-y-3.5">
          <Drawing document={document} shown={shown} size={size} onSize={setSize} />
          <Tabs.Root defaultValue="measurements">
            <Tabs.List aria-label="Parts of the design" className="flex gap-1">
              {['Measurements', 'Steps', 'Materials'].map((name) => (
                <Tabs.Trigger
                  key={name}
                  value={name.toLowerCase()}
                  className="min-h-11 rounded-t border border-b-0 border-transparent px-4 font-semibold text-soft data-[state=active]:border-line data-[state=active]:bg-white data-[state=active]:text-ink"
                >
                  {name}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <Tabs.Content value="measurements" className="sheet rounded-tl-none p-3">
              <MeasurementTable document={document} sheet={sheet} onChange={change} />
            </Tabs.Content>
            <Tabs.Content value="steps" className="sheet p-3">
              <StepTable document={document} findings={shown?.findings ?? []} onChange={change} />
            </Tabs.Content>
            <Tabs.Content value="materials" className="sheet p-4">
              <SlotChoices document={document} onChange={change} />
            </Tabs.Content>
          </Tabs.Root>
        </div>
        <Ticket ticket={shown?.ticket} missing={shown?.ticketMissing} stale={preview.isFetching} />
      </div>
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

function Troubles({ problem, preview, shown }: { problem?: Problem; preview: unknown; shown?: Size }) {
  const findings = [...new Map((shown?.findings ?? []).map((f) => [f.sentence, f])).values()].filter(
    (f) => !f.place.startsWith('measurements.') && !f.place.startsWith('steps.'),
  );
  const refused = problem && !problem.isClash ? problem.message : undefined;
  return (
    <div className="space-y-2 not-empty:mb-3">
      {refused && <Notice>{refused}</Notice>}
      {!refused && !!preview && <ProblemNotice problem={preview} />}
      {findings.map((finding) => (
        <Notice key={finding.sentence} look={finding.severity === 'REFUSED' ? 'bad' : 'care'}>
          {finding.sentence}
        </Notice>
      ))}
    </div>
  );
}

function Drawing({
  document,
  shown,
  size,
  onSize,
}: {
  document: Document;
  shown?: Size;
  size: string;
  onSize: (size: string) => void;
}) {
  const units = useUnits();
  return (
    <section className="sheet p-3" aria-label="Pieces">
      <div className="mb-1 flex flex-wrap items-center justify-between gap-3">
        <div
          role="group"
          aria-label="Size"
          className="flex overflow-hidden rounded border border-line-strong"
        >
          {document.sizes.map((name, i) => (
            <button
              key={i}
              type="button"
              aria-pressed={name === size}
              onClick={() => onSize(name)}
              className="min-h-10 border-line px-4 not-first:border-l aria-pressed:bg-woad-tint aria-pressed:font-bold aria-pressed:text-woad"
            >
              {name}
            </button>
          ))}
        </div>
        <div className="text-right text-soft">
          {shown?.trims.map((trim) => (
            <span key={trim.slot}>
              {trim.name}{' '}
              <WorkedFigure label={trim.name} working={trim.length.working} className="text-ink">
                {units.own(trim.length.value)}
              </WorkedFigure>{' '}
              · {units.other(trim.length.value)}
            </span>
          ))}
          {shown?.corner && (
            <span className="block text-[13.5px]">
              corners {shown.corner.words}:{' '}
              <WorkedFigure
                label="Corner, from the side"
                working={shown.corner.fromSide.working}
                className="text-ink"
              >
                {units.own(shown.corner.fromSide.value)}
              </WorkedFigure>
              {!shown.corner.square && (
                <>
                  {' by '}
                  <WorkedFigure
                    label="Corner, from the base"
                    working={shown.corner.fromBase.working}
                    className="text-ink"
                  >
                    {units.own(shown.corner.fromBase.value)}
                  </WorkedFigure>
                </>
              )}
            </span>
          )}
        </div>
      </div>
      {shown && shown.pieces.length > 0 ? (
        <div className="grid gap-4 lg:grid-cols-[1fr_218px]">
          <PieceDrawings pieces={shown.pieces} width={566} height={150} />
          <div className="border-line lg:border-l lg:pl-4" aria-label="Finished size" role="group">
            {shown.finished ? (
              <BagOutline finished={shown.finished} />
            ) : (
              <p className="text-soft">There is no finished size yet.</p>
            )}
          </div>
        </div>
      ) : (
        <p className="py-10 text-center text-soft">The pieces are drawn once the measurements can be read.</p>
      )}
    </section>
  );
}

function SlotChoices({
  document,
  onChange,
}: {
  document: Document;
  onChange: (next: Partial<Document>) => void;
}) {
  const { data } = useMaterials();
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      {document.slots.map((slot, i) => (
        <SelectField
          key={slot.key}
          label={slot.label}
          value={slot.materialId ?? ''}
          onChange={(event) => {
            const materialId = event.target.value ? Number(event.target.value) : undefined;
            onChange({ slots: document.slots.map((s, at) => (at === i ? { ...s, materialId } : s)) });
          }}
        >
          <option value="">not chosen</option>
          {data?.items
            .filter((material) => material.kind === slot.kind)
            .map((material) => (
              <option key={material.id} value={material.id}>
                {material.name}
              </option>
            ))}
        </SelectField>
      ))}
      <SelectField
        label="Corners"
        value={document.boxed.school}
        hint="What is measured at the corner changes; the finished size stays."
        onChange={(event) =>
          onChange({
            boxed: { ...document.boxed, school: event.target.value as Document['boxed']['school'] },
          })
        }
      >
        {Object.entries(SCHOOLS).map(([school, words]) => (
          <option key={school} value={school}>
            {words}
          </option>
        ))}
      </SelectField>
      <UsualUnits document={document} onChange={onChange} />
    </div>
  );
}

function UsualUnits({
  document,
  onChange,
}: {
  document: Document;
  onChange: (next: Partial<Document>) => void;
}) {
  const [typed, setTyped] = useState(String(document.usualUnits));
  const units = Number(typed);
  const fits = Number.isInteger(units) && units >= 1 && units <= 5000;
  return (
    <TextField
      label="Usually made at a time"
      inputMode="numeric"
      value={typed}
      error={fits ? undefined : `“${typed}” isn’t a whole number from 1 to 5000.`}
      hint="The ticket’s figures are for a batch of this size."
      onChange={(event) => {
        setTyped(event.target.value);
        const next = Number(event.target.value);
        if (Number.isInteger(next) && next >= 1 && next <= 5000) onChange({ usualUnits: next });
      }}
    />
  );
}
