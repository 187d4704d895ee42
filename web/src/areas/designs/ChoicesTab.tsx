import type { Schemas } from '../../api/client';
import { SelectField, TextField } from '../../ui/Field';
import { freeKey, replaced, useEditing, useFindings, without, type Document } from './editing';
import { FormulaField, PartHeading, RowButton } from './fields';

type Choice = Schemas['OpenChoice'];
type Alternative = Schemas['Alternative'];

/** What an alternative can bring, by where its key stands in it. */
type Brought = 'letters' | 'slots' | 'steps';

const GROUPS: Record<Brought, string> = {
  letters: 'Pieces, panels and trims',
  slots: 'Materials, with all that is made of them',
  steps: 'Steps',
};

const keysOf = (choices: Choice[]) =>
  choices.flatMap((choice) => [choice.key, ...choice.alternatives.map((one) => one.key)]);

const alternative = (name: string, taken: string[]): Alternative => ({
  key: freeKey('alternative', taken),
  name,
  letters: [],
  slots: [],
  steps: [],
  measures: [],
});

/** A choice between something and nothing, as most are. */
function newChoice(choices: Choice[]): Choice {
  const taken = keysOf(choices);
  const key = freeKey('choice', taken);
  const none = alternative('without', [...taken, key]);
  const some = alternative('with', [...taken, key, none.key]);
  const names = choices.map((choice) => choice.name);
  const name = names.includes('New choice') ? `New choice ${choices.length + 1}` : 'New choice';
  return { key, name, usual: none.key, alternatives: [none, some] };
}

/** What the design has that an alternative may bring. */
function parts(document: Document): Record<Brought, { key: string; name: string }[]> {
  return {
    letters: [...document.pieces, ...document.panels, ...document.trims].map(({ letter, name }) => ({
      key: letter,
      name: `${letter} · ${name}`,
    })),
    slots: document.slots.map(({ key, label }) => ({ key, name: label })),
    steps: document.steps.map(({ key, name }) => ({ key, name })),
  };
}

/**
 * What the design leaves open: each choice with its alternatives, what comes with each of them, and what it changes in minutes and money.
 * The page shows the design as it is usually made.
 */
export function ChoicesTab() {
  const { document, change } = useEditing();
  const choices = document.openChoices ?? [];
  const put = (next: Choice[]) => change({ openChoices: next });
  return (
    <>
      <PartHeading title="Left open" add="Add a choice" onAdd={() => put([...choices, newChoice(choices)])} />
      <p className="mb-3 max-w-[640px] text-soft">
        What may be chosen anew for each design, line of a batch or order: foam or none, a snap or a magnet.
        What comes with an alternative is cut, sewn, timed and paid for only where it is taken; everything
        else is always there.
      </p>
      <div className="space-y-4">
        {choices.map((choice, i) => (
          <ChoiceCard
            key={choice.key}
            choice={choice}
            place={i}
            taken={keysOf(choices)}
            onChange={(next) => put(replaced(choices, i, next))}
            onRemove={() => put(without(choices, i))}
          />
        ))}
      </div>
    </>
  );
}

function ChoiceCard({
  choice,
  place,
  taken,
  onChange,
  onRemove,
}: {
  choice: Choice;
  place: number;
  taken: string[];
  onChange: (next: Partial<Choice>) => void;
  onRemove: () => void;
}) {
  const wrong = useFindings(`openChoices.${place}.name`)[0]?.sentence;
  const { alternatives } = choice;
  return (
    <section className="rounded border border-line p-3" aria-label={`Choice: ${choice.name}`}>
      <div className="flex items-end gap-3">
        <div className="w-[260px] max-w-full">
          <TextField
            label="What is chosen"
            maxLength={60}
            value={choice.name}
            error={wrong}
            onChange={(event) => onChange({ name: event.target.value })}
          />
        </div>
        <span className="grow" />
        <button
          type="button"
          className="min-h-9 px-2 font-semibold text-woad hover:underline"
          onClick={() =>
            onChange({
              alternatives: [...alternatives, alternative(`another ${alternatives.length + 1}`, taken)],
            })
          }
        >
          Add an alternative
        </button>
        <RowButton label={`Remove the choice ${choice.name}`} onPress={onRemove}>
          ×
        </RowButton>
      </div>
      <div className="mt-2 divide-y divide-line-faint border-t border-line-faint">
        {alternatives.map((one, i) => (
          <AlternativeRow
            key={one.key}
            choice={choice}
            one={one}
            place={`openChoices.${place}.alternatives.${i}`}
            onUsual={() => onChange({ usual: one.key })}
            onChange={(next) => onChange({ alternatives: replaced(alternatives, i, next) })}
            onRemove={
              alternatives.length > 2
                ? () => {
                    const left = without(alternatives, i);
                    onChange({
                      alternatives: left,
                      usual: choice.usual === one.key ? (left[0]?.key ?? '') : choice.usual,
                    });
                  }
                : undefined
            }
          />
        ))}
      </div>
    </section>
  );
}

function AlternativeRow({
  choice,
  one,
  place,
  onUsual,
  onChange,
  onRemove,
}: {
  choice: Choice;
  one: Alternative;
  place: string;
  onUsual: () => void;
  onChange: (next: Partial<Alternative>) => void;
  onRemove?: () => void;
}) {
  const { document, shown } = useEditing();
  const wrong = useFindings(`${place}.name`)[0]?.sentence;
  const isUsual = choice.usual === one.key;
  const effect = shown?.alternatives.find((its) => its.key === one.key && its.choice === choice.key);
  const all = parts(document);
  const kinds = Object.keys(GROUPS) as Brought[];
  const brought = kinds.flatMap((kind) =>
    all[kind].filter(({ key }) => one[kind].includes(key)).map((part) => ({ kind, ...part })),
  );
  const measures = document.measurements.filter(({ kind }) => kind !== 'CHOICE');
  return (
    <div className="py-2.5" role="group" aria-label={`${choice.name}: ${one.name}`}>
      <div className="grid items-start gap-x-3 gap-y-2 md:grid-cols-[210px_1fr_auto]">
        <div>
          <TextField
            label="Alternative"
            hideLabel
            maxLength={60}
            value={one.name}
            error={wrong}
            onChange={(event) => onChange({ name: event.target.value })}
          />
          <label className="mt-1 flex min-h-8 items-center gap-2 text-[13px] text-soft">
            <input type="radio" className="size-5" checked={isUsual} onChange={onUsual} />
            usually taken
          </label>
        </div>
        <div className="min-w-0">
          <div className="flex flex-wrap items-center gap-1.5">
            {brought.map(({ kind, key, name }) => (
              <span
                key={kind + key}
                className="inline-flex min-h-8 items-center gap-1 rounded border border-line-strong bg-ground pl-2 text-[13.5px]"
              >
                {name}
                <RowButton
                  label={`${name} doesn’t come with ${one.name}`}
                  onPress={() => onChange({ [kind]: one[kind].filter((other) => other !== key) })}
                >
                  ×
                </RowButton>
              </span>
            ))}
            {brought.length === 0 && (
              <span className="py-1.5 text-[13.5px] text-soft">nothing of its own</span>
            )}
          </div>
          <div className="mt-1.5 grid gap-x-3 gap-y-2 sm:grid-cols-2">
            <SelectField
              label="What comes with it"
              hideLabel
              value=""
              onChange={(event) => {
                const [kind, ...key] = event.target.value.split(' ');
                const list = one[kind as Brought];
                if (list) onChange({ [kind as Brought]: [...list, key.join(' ')] });
              }}
            >
              <option value="">comes with it …</option>
              {kinds.map((kind) => (
                <optgroup key={kind} label={GROUPS[kind]}>
                  {all[kind]
                    .filter(({ key }) => !one[kind].includes(key))
                    .map(({ key, name }) => (
                      <option key={key} value={`${kind} ${key}`}>
                        {name}
                      </option>
                    ))}
                </optgroup>
              ))}
            </SelectField>
            <SelectField
              label="Measurement that is another with it"
              hideLabel
              value=""
              onChange={(event) => {
                const its = measures.find(({ symbol }) => symbol === event.target.value);
                if (its) {
                  onChange({
                    measures: [...one.measures, { symbol: its.symbol, value: its.values[0] ?? '' }],
                  });
                }
              }}
            >
              <option value="">measures otherwise …</option>
              {measures
                .filter(({ symbol }) => !one.measures.some((measure) => measure.symbol === symbol))
                .map(({ symbol, label }) => (
                  <option key={symbol} value={symbol}>
                    {label}
                  </option>
                ))}
            </SelectField>
          </div>
          {one.measures.map((measure, i) => {
            const label = document.measurements.find(({ symbol }) => symbol === measure.symbol)?.label;
            return (
              <div key={measure.symbol} className="mt-1.5 flex items-end gap-1.5">
                <div className="w-[220px]">
                  <FormulaField
                    label={`${label ?? measure.symbol}, ${one.name}`}
                    place={`${place}.measures.${i}.value`}
                    value={measure.value}
                    onType={(value) => onChange({ measures: replaced(one.measures, i, { value }) })}
                  />
                </div>
                <RowButton
                  label={`${label ?? measure.symbol} is the same with ${one.name}`}
                  onPress={() => onChange({ measures: without(one.measures, i) })}
                >
                  ×
                </RowButton>
              </div>
            );
          })}
        </div>
        <div className="flex items-start gap-1">
          <Effect isUsual={isUsual} effect={effect} />
          {onRemove && (
            <RowButton label={`Remove ${one.name}`} onPress={onRemove}>
              ×
            </RowButton>
          )}
        </div>
      </div>
    </div>
  );
}

/** What an alternative takes more of one bag than the usual one. */
function Effect({ isUsual, effect }: { isUsual: boolean; effect?: Schemas['AlternativeView'] }) {
  if (isUsual) return <p className="w-[150px] pt-2 text-[13px] text-soft">as the ticket says</p>;
  if (!effect) return <p className="w-[150px]" />;
  if (effect.problem) return <p className="w-[150px] pt-2 text-[13px] text-madder">{effect.problem}</p>;
  return (
    <dl className="grid w-[150px] grid-cols-[1fr_auto] gap-x-2 pt-1.5 text-[13.5px]">
      <dt className="text-soft">time</dt>
      <dd className="num">{effect.time}</dd>
      <dt className="text-soft">cost</dt>
      <dd className="num">{effect.cost}</dd>
      <dt className="text-soft">price</dt>
      <dd className="num">{effect.price}</dd>
    </dl>
  );
}
