import type { Schemas } from '../../api/client';
import { useMaterials, useSettings, useSetUpWords } from '../../api/queries';
import { SelectField, TextField } from '../../ui/Field';
import { useEditing } from './editing';
import { FormulaField, Tick } from './fields';

type StepRow = Schemas['StepRow'];
type Details = Schemas['SetUpDetails'];
type Written = 'length' | 'width' | 'position' | 'tension' | 'heat';

/** A set-up of which nothing more is said. */
export const NOTHING: Details = {
  bobbin: '',
  length: '',
  width: '',
  position: '',
  tension: '',
  heat: '',
  seconds: '',
  pressCloth: '',
  steam: '',
  freeArm: false,
};

const SEWING: [Written, string, string?][] = [
  ['length', 'Stitch length'],
  ['width', 'Stitch width'],
  ['position', 'Needle position'],
  ['tension', 'Tension'],
];

/** Whether it is sewn there, at one machine or another. */
const sews = (station: StepRow['station']) => station === 'MACHINE' || station === 'OVERLOCKER';

/** What has to be on the machine or the press for a step, and at which machine it is done. What is empty doesn't matter. */
export function StepSetUp({
  step,
  index,
  onChange,
}: {
  step: StepRow;
  index: number;
  onChange: (next: Partial<StepRow>) => void;
}) {
  const { document } = useEditing();
  const { data: used } = useSetUpWords();
  const details = step.details ?? NOTHING;
  const detail = (next: Partial<Details>) => onChange({ details: { ...details, ...next } });
  const atTheMachine = sews(step.station) || !!(step.needle || step.thread || step.foot || step.stitch);
  const atThePress = step.station === 'PRESS' || !!(details.heat || details.seconds);
  /** A part with what was on it before: in this design, and in others. */
  const { data: materials } = useMaterials();
  const threads = (materials?.items ?? []).filter((one) => one.kind === 'THREAD' && !one.putAway);
  /** A thread of the shelf is known by what it is, whatever it is called by now. */
  const onTheShelf = (id: number | undefined) => threads.find((one) => one.id === id)?.name;
  const called = (text: string) =>
    threads.find((one) => one.name.trim().toLowerCase() === text.trim().toLowerCase())?.id;
  const main = (key: 'needle' | 'thread' | 'foot' | 'stitch', label: string) => (
    <Remembered
      name={key}
      label={label}
      value={step[key]}
      before={[...document.steps.map((one) => one[key].trim()), ...(used?.[key] ?? [])]}
      onType={(text) => onChange({ [key]: text })}
    />
  );
  const more = ([key, label, hint]: [Written, string, string?]) => (
    <Remembered
      key={key}
      name={key}
      label={label}
      hint={hint}
      value={details[key]}
      before={[...document.steps.map((one) => one.details?.[key].trim() ?? ''), ...(used?.[key] ?? [])]}
      onType={(text) => detail({ [key]: text })}
    />
  );
  return (
    <>
      {atTheMachine && (
        <>
          {main('needle', 'Needle')}
          <Remembered
            name="thread"
            label="Thread"
            hint={details.threadId ? 'from the shelf' : undefined}
            value={onTheShelf(details.threadId) ?? step.thread}
            before={[
              'matching',
              ...threads.map((one) => one.name),
              ...document.steps.map((one) => one.thread.trim()),
              ...(used?.thread ?? []),
            ]}
            onType={(text) => onChange({ thread: text, details: { ...details, threadId: called(text) } })}
          />
          {main('foot', 'Foot')}
          {main('stitch', 'Stitch')}
          <Remembered
            name="bobbin"
            label="Bobbin thread"
            hint={details.bobbinId ? 'from the shelf' : 'empty: as the top'}
            value={onTheShelf(details.bobbinId) ?? details.bobbin}
            before={[...threads.map((one) => one.name), ...(used?.bobbin ?? [])]}
            onType={(text) => detail({ bobbin: text, bobbinId: called(text) })}
          />
          {SEWING.map(more)}
        </>
      )}
      {atThePress && (
        <>
          {more(['heat', 'Heat'])}
          <FormulaField
            label="Seconds held"
            place={`steps.${index}.seconds`}
            value={details.seconds}
            inputMode="numeric"
            onType={(text) => detail({ seconds: text })}
          />
          <SelectField
            label="Press cloth"
            value={details.pressCloth}
            onChange={(event) => detail({ pressCloth: event.target.value })}
          >
            <option value="">doesn’t matter</option>
            <option value="press cloth">a cloth between</option>
            <option value="no press cloth">none</option>
          </SelectField>
          <SelectField
            label="Steam"
            value={details.steam}
            onChange={(event) => detail({ steam: event.target.value })}
          >
            <option value="">doesn’t matter</option>
            <option value="steam">steam</option>
            <option value="dry">dry</option>
          </SelectField>
        </>
      )}
      <MachineChoice step={step} details={details} onChange={detail} />
    </>
  );
}

/** At which of the maker's machines it is done, if it matters. */
function MachineChoice({
  step,
  details,
  onChange,
}: {
  step: StepRow;
  details: Details;
  onChange: (next: Partial<Details>) => void;
}) {
  const { data: settings } = useSettings();
  const all = settings?.machines ?? [];
  const its = all.filter((machine) => machine.kind === step.station);
  const gone =
    !!settings && details.machine !== undefined && !its.some((machine) => machine.id === details.machine);
  return (
    <>
      {(its.length > 1 || gone) && (
        <SelectField
          label="At which one"
          value={details.machine ?? ''}
          error={gone ? 'It isn’t among your machines any more.' : undefined}
          onChange={(event) =>
            onChange({ machine: event.target.value === '' ? undefined : Number(event.target.value) })
          }
        >
          <option value="">any that can</option>
          {gone && <option value={details.machine}>one that is gone</option>}
          {its.map((machine) => (
            <option key={machine.id} value={machine.id}>
              {machine.name}
            </option>
          ))}
        </SelectField>
      )}
      {step.station === 'MACHINE' && (
        <div className="self-end">
          <Tick
            label="Round the free arm"
            checked={details.freeArm}
            onTick={(freeArm) => onChange({ freeArm })}
          />
        </div>
      )}
    </>
  );
}

function Remembered({
  name,
  label,
  hint,
  value,
  before,
  onType,
}: {
  name: string;
  label: string;
  hint?: string;
  value: string;
  before: string[];
  onType: (text: string) => void;
}) {
  return (
    <div>
      <TextField
        label={label}
        hint={hint}
        list={`used-${name}`}
        maxLength={300}
        value={value}
        onChange={(event) => onType(event.target.value)}
      />
      <datalist id={`used-${name}`}>
        {[...new Set(before)]
          .filter((words) => words)
          .map((words) => (
            <option key={words} value={words} />
          ))}
      </datalist>
    </div>
  );
}

/** A step's set-up in a few words. */
export function setUpWords(step: StepRow) {
  const details = step.details ?? NOTHING;
  return [
    step.needle && `needle ${step.needle}`,
    step.thread && `${step.thread} thread`,
    details.bobbin && `${details.bobbin} in the bobbin`,
    step.foot,
    step.stitch,
    details.length && `length ${details.length}`,
    details.width && `width ${details.width}`,
    details.position && `needle ${details.position}`,
    details.tension && `tension ${details.tension}`,
    details.heat,
    details.seconds && `${details.seconds} s`,
    details.pressCloth,
    details.steam,
    details.freeArm && 'free arm',
  ].filter(Boolean);
}
