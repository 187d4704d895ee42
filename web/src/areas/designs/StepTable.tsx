import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { SeamPicture } from '../../ui/SeamPicture';
import { useRequestId, useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { copied, freeKey, moved, replaced, useEditing, useFindings, without, type Document } from './editing';
import { Choice, CopyMark, FormulaField, RowButton, Tick } from './fields';
import { PaperSays } from './PaperSays';
import { StepPrompts } from './StepPrompts';
import { StepSetUp, setUpWords } from './StepSetUp';
import { STAGES, STATIONS } from './words';

type StepRow = Schemas['StepRow'];

const NEW: Omit<StepRow, 'key'> = {
  name: 'New step',
  stage: 'SEW',
  station: 'MACHINE',
  needle: '',
  thread: '',
  foot: '',
  stitch: '',
  minutesPerUnit: '1',
  minutesPerBatch: '0',
  passiveMinutes: '0',
  check: '',
  caution: '',
  note: '',
  after: [],
  uses: '',
};

/** The steps in order with what is on the machine and the minutes; a step opens to all about it. */
export function StepTable() {
  const { document, sheet, change } = useEditing();
  const [opened, setOpened] = useState<string>();
  const [at, setAt] = useState<string>();
  const [putting, setPutting] = useState(false);
  const [keeping, setKeeping] = useState(false);
  const [pacing, setPacing] = useState(false);
  const steps = document.steps;
  const set = (index: number, next: Partial<StepRow>) => change({ steps: replaced(steps, index, next) });
  const openedAt = steps.findIndex((step) => step.key === opened);
  const findings = useStepFindings();
  const add = (index: number, step: Omit<StepRow, 'key'>) => {
    const key = freeKey(
      'step',
      steps.map((s) => s.key),
    );
    change({ steps: copied(steps, index, { ...step, key }) });
    setOpened(key);
  };
  /** A new step goes where one is, at the same machine as it stands; after none, to the end. */
  const addAfter = (index: number) => {
    const before = steps[index];
    add(before ? index : steps.length - 1, {
      ...NEW,
      ...(before && {
        stage: before.stage,
        station: before.station,
        needle: before.needle,
        thread: before.thread,
        foot: before.foot,
        stitch: before.stitch,
        details: before.details,
      }),
    });
  };
  return (
    <>
      <div className="mb-1 flex flex-wrap items-center justify-between gap-3">
        <h2>Steps, in order</h2>
        <div className="flex flex-wrap gap-1">
          <button
            type="button"
            className="min-h-9 px-2 font-semibold text-woad hover:underline"
            onClick={() => addAfter(at === undefined ? -1 : steps.findIndex((step) => step.key === at))}
          >
            Add a step
          </button>
          <button
            type="button"
            className="min-h-9 px-2 font-semibold text-woad hover:underline"
            onClick={() => setPutting(true)}
          >
            Put in a building block
          </button>
          <button
            type="button"
            className="min-h-9 px-2 font-semibold text-woad hover:underline"
            onClick={() => setPacing(true)}
          >
            So many an hour
          </button>
          <button
            type="button"
            className="min-h-9 px-2 font-semibold text-woad hover:underline"
            onClick={() => setKeeping(true)}
          >
            Save steps as a block
          </button>
        </div>
      </div>
      {findings.map((sentence) => (
        <p key={sentence} role="alert" className="mb-1 text-madder">
          {sentence}
        </p>
      ))}
      <table className="listing">
        <thead>
          <tr>
            <th>Step</th>
            <th>At the</th>
            <th className="!text-right">min each, or /h</th>
            <th className="!text-right">min once</th>
            <th className="!text-right">waiting</th>
            <th>
              <span className="sr-only">Order</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {steps.map((step, i) => (
            <tr key={step.key} onFocus={() => setAt(step.key)}>
              <td>
                <button
                  type="button"
                  className="text-left font-semibold text-woad hover:underline"
                  onClick={() => setOpened(step.key)}
                >
                  {i + 1}. {step.name}
                </button>
                <span className="block text-[13px] text-soft">
                  {[step.uses, ...setUpWords(step)].filter(Boolean).join(' · ') || step.check}
                </span>
                <PaperSays place={`steps.${step.key}`} />
                <Measured time={sheet.times.find((time) => time.key === step.key)} />
              </td>
              <td className="text-soft">{STATIONS[step.station]}</td>
              <Minutes
                index={i}
                name="minutesPerUnit"
                label="Minutes for each"
                onType={(text) => set(i, { minutesPerUnit: text })}
              />
              <Minutes
                index={i}
                name="minutesPerBatch"
                label="Minutes once per batch"
                onType={(text) => set(i, { minutesPerBatch: text })}
              />
              <Minutes
                index={i}
                name="passiveMinutes"
                label="Minutes of waiting"
                onType={(text) => set(i, { passiveMinutes: text })}
              />
              <td className="w-[152px] whitespace-nowrap">
                <RowButton
                  label={`Move ${step.name} up`}
                  disabled={i === 0}
                  onPress={() => change({ steps: moved(steps, i, -1) })}
                >
                  ↑
                </RowButton>
                <RowButton
                  label={`Move ${step.name} down`}
                  disabled={i === steps.length - 1}
                  onPress={() => change({ steps: moved(steps, i, 1) })}
                >
                  ↓
                </RowButton>
                <RowButton
                  label={`Copy ${step.name}`}
                  onPress={() => add(i, { ...step, name: `${step.name}, copy` })}
                >
                  <CopyMark />
                </RowButton>
                <RowButton label={`Add a step after ${step.name}`} onPress={() => addAfter(i)}>
                  +
                </RowButton>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {openedAt >= 0 && (
        <StepPanel
          index={openedAt}
          onChange={(next) => set(openedAt, next)}
          onRemove={() => {
            setOpened(undefined);
            change({ steps: without(steps, openedAt) });
          }}
          onClose={() => setOpened(undefined)}
        />
      )}
      {putting && <BlockPanel onClose={() => setPutting(false)} />}
      {pacing && <PacePanel onClose={() => setPacing(false)} />}
      {keeping && <KeepPanel onClose={() => setKeeping(false)} />}
    </>
  );
}

/** What was measured of a step, beside what is typed: so its batches are reckoned. */
function Measured({ time }: { time?: Schemas['StepTime'] }) {
  if (!time) return null;
  const timed = time.bags === 1 ? '1 bag timed' : `${time.bags} bags timed`;
  return (
    <span className="block text-[13px]">
      {time.bags > 0 || time.onceBatches === 0 ? (
        <>
          planned with <b>{time.each.text}</b> each
          <span className="text-soft">
            {', '}
            {time.bags > 0
              ? `${timed} in ${time.batches === 1 ? 'a batch' : `${time.batches} batches`}; likely ${time.atLeast.text} to ${time.atMost.text}`
              : 'as it was timed in other designs'}
            {time.leftOut > 0 && `; ${time.leftOut} left out, far from the others`}
          </span>
        </>
      ) : null}
      {time.onceBatches > 0 && (
        <>
          {time.bags > 0 ? '; ' : 'planned with '}
          <b>{time.once.text}</b> once
        </>
      )}
    </span>
  );
}

/** What can't be read in a step; what only looks wrong stands among the checks. */
function useStepFindings() {
  const { sheet } = useEditing();
  const found = sheet.sizes
    .flatMap((size) => size.findings)
    .filter((f) => f.severity === 'REFUSED' && f.place.startsWith('steps.'));
  return [...new Set(found.map((f) => f.sentence))];
}

function Minutes({
  index,
  name,
  label,
  onType,
}: {
  index: number;
  name: 'minutesPerUnit' | 'minutesPerBatch' | 'passiveMinutes';
  label: string;
  onType: (text: string) => void;
}) {
  const { document } = useEditing();
  const step = document.steps[index];
  const sentence = useFindings(`steps.${index}.${name}`)[0]?.sentence;
  return (
    <td className="w-[84px]">
      <input
        aria-label={`${label}, ${step?.name}`}
        aria-invalid={!!sentence}
        title={sentence}
        inputMode="text"
        className="field !min-h-10 text-right"
        value={step?.[name] ?? ''}
        onChange={(event) => onType(event.target.value)}
      />
    </td>
  );
}

function StepPanel({
  index,
  onChange,
  onRemove,
  onClose,
}: {
  index: number;
  onChange: (next: Partial<StepRow>) => void;
  onRemove: () => void;
  onClose: () => void;
}) {
  const { document, shown } = useEditing();
  const step = document.steps[index];
  const drawn = useSettled(document, 200);
  const { data: seams } = useQuery({
    queryKey: ['design-seams', shown?.size, drawn],
    queryFn: ({ signal }) =>
      api.post<Schemas['SeamView'][]>('/api/designs/seams', { document: drawn, size: shown?.size }, signal),
    enabled: !!shown,
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  });
  if (!step) return null;
  const seam = seams?.find((one) => one.step === step.key);
  const text = (key: 'name' | 'check' | 'caution' | 'note', label: string) => (
    <TextField
      label={label}
      maxLength={300}
      value={step[key]}
      onChange={(event) => onChange({ [key]: event.target.value })}
    />
  );
  const formula = (
    key: 'minutesPerUnit' | 'minutesPerBatch' | 'passiveMinutes' | 'uses',
    label: string,
    hint?: string,
  ) => (
    <FormulaField
      label={label}
      place={`steps.${index}.${key}`}
      value={step[key]}
      hint={hint}
      onType={(typed) => onChange({ [key]: typed })}
    />
  );
  return (
    <Panel title={`${index + 1}. ${step.name}`} open wide onOpenChange={(open) => !open && onClose()}>
      {seam && (
        <div className="mb-4 border-b border-line pb-3">
          <SeamPicture seam={seam} width={860} height={190} />
        </div>
      )}
      <div className="grid gap-3 md:grid-cols-3">
        {text('name', 'Step')}
        <Choice
          label="Part of"
          value={step.stage}
          options={STAGES}
          onChoose={(stage) => onChange({ stage })}
        />
        <Choice
          label="At the"
          value={step.station}
          options={STATIONS}
          onChoose={(station) => onChange({ station })}
        />
        <StepSetUp step={step} index={index} onChange={onChange} />
        <SelectField
          label="The pieces lie"
          value={step.lay ?? ''}
          onChange={(event) =>
            onChange({ lay: (event.target.value || undefined) as Document['steps'][number]['lay'] })
          }
        >
          <option value="">not said</option>
          <option value="RIGHT_SIDES_TOGETHER">right sides together</option>
          <option value="WRONG_SIDES_TOGETHER">wrong sides together</option>
          <option value="RIGHT_SIDE_UP">right side up</option>
        </SelectField>
        {formula('minutesPerUnit', 'Minutes for each', 'or so many an hour: 12/h')}
        {formula('minutesPerBatch', 'Minutes once per batch')}
        {formula('passiveMinutes', 'Minutes of waiting')}
        {formula('uses', 'What goes through, with its layers', 'letters and edges, like 2A top, 2B, C')}
        {text('check', 'What to check')}
        {text('caution', 'Caution')}
        {text('note', 'Note to remember')}
      </div>
      <Tick
        label="What is half made can’t be put away after it: pinned, wet or loose, it goes on the same day"
        checked={step.goesOn ?? false}
        onTick={(goesOn) => onChange({ goesOn })}
      />
      <StepPrompts step={step} index={index} onChange={onChange} />
      <fieldset className="mt-3">
        <legend className="text-[13px] font-semibold text-soft">Comes after</legend>
        <div className="grid gap-x-4 md:grid-cols-2">
          {document.steps
            .filter((other) => other.key !== step.key)
            .map((other) => (
              <Tick
                key={other.key}
                label={other.name}
                checked={step.after.includes(other.key)}
                onTick={(on) =>
                  onChange({
                    after: on ? [...step.after, other.key] : step.after.filter((key) => key !== other.key),
                  })
                }
              />
            ))}
        </div>
      </fieldset>
      <button
        type="button"
        className="mt-2 min-h-10 font-semibold text-madder hover:underline"
        onClick={onRemove}
      >
        Remove this step
      </button>
    </Panel>
  );
}

const blocksKey = ['design-blocks'];

function BlockPanel({ onClose }: { onClose: () => void }) {
  const { document, change } = useEditing();
  const { data: blocks } = useQuery({
    queryKey: blocksKey,
    queryFn: () => api.get<Schemas['BlockView'][]>('/api/design-blocks'),
  });
  const put = useSend(
    (block: string) => api.post<Document>('/api/designs/with-block', { document, block }),
    (next) => {
      change(next);
      onClose();
    },
  );
  return (
    <Panel title="Put in a building block" open wide onOpenChange={(open) => !open && onClose()}>
      <p className="mb-2 text-soft">
        A block brings its steps with their usual times, and the pieces, trims and measurements they need.
        What the design has already by the same name is kept.
      </p>
      <ProblemNotice problem={put.problem} />
      <ul className="divide-y divide-line">
        {blocks?.map((block) => (
          <li key={block.key} className="flex items-center justify-between gap-3 py-2">
            <span>
              <b>{block.name}</b>
              {block.variant && `, ${block.variant}`}
              {block.own && <span className="text-soft"> · your own</span>}
              <span className="block text-[13px] text-soft">{block.brings.join(' · ')}</span>
            </span>
            <Button look="quiet" disabled={put.isPending} onClick={() => put.mutate(block.key)}>
              Put in
            </Button>
          </li>
        ))}
      </ul>
    </Panel>
  );
}

/** Spreads so many an hour over all steps. */
function PacePanel({ onClose }: { onClose: () => void }) {
  const { document, change } = useEditing();
  const [anHour, setAnHour] = useState('');
  const pace = useSend(
    () => api.post<Document>('/api/designs/paced', { document, anHour }),
    (next) => {
      change({ steps: next.steps });
      onClose();
    },
  );
  return (
    <Panel title="So many an hour" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!pace.isPending) pace.mutate(undefined);
        }}
      >
        <TextField
          label="Whole bags I make in an hour, without setting up"
          hint="each step keeps its share of the time"
          inputMode="decimal"
          value={anHour}
          error={pace.problem?.on('anHour')}
          onChange={(event) => setAnHour(event.target.value)}
        />
        {pace.problem && !pace.problem.on('anHour') && <ProblemNotice problem={pace.problem} />}
        <Button type="submit" disabled={pace.isPending}>
          Spread it over the steps
        </Button>
      </form>
    </Panel>
  );
}

function KeepPanel({ onClose }: { onClose: () => void }) {
  const { document } = useEditing();
  const client = useQueryClient();
  const request = useRequestId();
  const [name, setName] = useState('');
  const [variant, setVariant] = useState('');
  const [steps, setSteps] = useState<string[]>([]);
  const keep = useSend(
    () =>
      api.post<Schemas['BlockView'][]>('/api/design-blocks', {
        requestId: request.id,
        name,
        variant,
        document,
        steps,
      }),
    (blocks) => {
      client.setQueryData(blocksKey, blocks);
      onClose();
    },
  );
  return (
    <Panel title="Keep steps as a building block" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!keep.isPending) keep.mutate(undefined);
        }}
      >
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Name of the block"
            value={name}
            error={keep.problem?.on('name')}
            onChange={(event) => setName(event.target.value)}
          />
          <TextField label="Variant" value={variant} onChange={(event) => setVariant(event.target.value)} />
        </div>
        <fieldset>
          <legend className="text-[13px] font-semibold text-soft">
            Its steps; what they use comes along
          </legend>
          {document.steps.map((step) => (
            <Tick
              key={step.key}
              label={step.name}
              checked={steps.includes(step.key)}
              onTick={(on) => setSteps(on ? [...steps, step.key] : steps.filter((key) => key !== step.key))}
            />
          ))}
        </fieldset>
        {keep.problem?.on('steps') && <p className="text-madder">{keep.problem.on('steps')}</p>}
        <Button type="submit" disabled={keep.isPending}>
          Save
        </Button>
      </form>
    </Panel>
  );
}
