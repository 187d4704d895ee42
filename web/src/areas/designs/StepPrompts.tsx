import type { Schemas } from '../../api/client';
import { moved, replaced, without } from './editing';
import { Choice, FormulaField, RowButton, Tick } from './fields';
import { TextField } from '../../ui/Field';

type StepRow = Schemas['StepRow'];
type PromptRow = NonNullable<StepRow['prompts']>[number];

const KINDS: Record<PromptRow['kind'], string> = {
  BEFORE: 'Look at before',
  DO: 'Do',
  DURING: 'Look at meanwhile',
  AFTER: 'Look at after',
};

const NEW: PromptRow = { kind: 'DO', text: '', mark: '', from: '', gate: false, seconds: '', times: '' };

/** What the bench shows within a step, one after another: small things to do, and what to look at before, meanwhile and after. */
export function StepPrompts({
  step,
  index,
  onChange,
}: {
  step: StepRow;
  index: number;
  onChange: (next: Partial<StepRow>) => void;
}) {
  const prompts = step.prompts ?? [];
  const set = (at: number, next: Partial<PromptRow>) => onChange({ prompts: replaced(prompts, at, next) });
  return (
    <fieldset className="mt-3">
      <legend className="text-[13px] font-semibold text-soft">Shown at the bench, one after another</legend>
      <ol className="space-y-2">
        {prompts.map((prompt, at) => (
          <li
            key={at}
            className="grid items-start gap-x-2 gap-y-1 border-b border-line pb-2 md:grid-cols-[150px_1fr_120px_150px_72px_62px_auto]"
          >
            <Choice label="When" value={prompt.kind} options={KINDS} onChoose={(kind) => set(at, { kind })} />
            <div>
              <TextField
                label="What"
                maxLength={300}
                value={prompt.text}
                onChange={(event) => set(at, { text: event.target.value })}
              />
              <Tick label="must be confirmed" checked={prompt.gate} onTick={(gate) => set(at, { gate })} />
            </div>
            <FormulaField
              label="At"
              place={`steps.${index}.prompts.${at}.mark`}
              value={prompt.mark}
              onType={(mark) => set(at, { mark })}
            />
            <TextField
              label="from"
              maxLength={100}
              value={prompt.from}
              onChange={(event) => set(at, { from: event.target.value })}
            />
            <FormulaField
              label="Seconds"
              place={`steps.${index}.prompts.${at}.seconds`}
              inputMode="numeric"
              value={prompt.seconds}
              onType={(seconds) => set(at, { seconds })}
            />
            <FormulaField
              label="Times"
              place={`steps.${index}.prompts.${at}.times`}
              inputMode="numeric"
              value={prompt.times}
              onType={(times) => set(at, { times })}
            />
            <div className="flex whitespace-nowrap md:pt-6">
              <RowButton
                label={`Move “${prompt.text}” up`}
                disabled={at === 0}
                onPress={() => onChange({ prompts: moved(prompts, at, -1) })}
              >
                ↑
              </RowButton>
              <RowButton
                label={`Remove “${prompt.text}”`}
                onPress={() => onChange({ prompts: without(prompts, at) })}
              >
                ×
              </RowButton>
            </div>
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="min-h-10 font-semibold text-woad hover:underline"
        onClick={() => onChange({ prompts: [...prompts, NEW] })}
      >
        Add something to do or to look at
      </button>
    </fieldset>
  );
}
