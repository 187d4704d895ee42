import { useId, type ReactNode } from 'react';
import type { Schemas } from '../../../api/client';
import { OptionDrawing } from './OptionDrawing';

type ChoiceView = Schemas['ChoiceView'];
type Choice = ChoiceView['choice'];
type Option = ChoiceView['chosen'];

/** How a bag is made: each choice with its few ways, one of them chosen. */
export function ChoiceList({
  choices,
  measuresOf,
  onChoose,
}: {
  choices: ChoiceView[];
  /** The measures that belong to what is chosen there. */
  measuresOf: (choice: Choice) => ReactNode[];
  onChoose: (choice: Choice, option: Option) => void;
}) {
  return (
    <div className="divide-y divide-line">
      {choices.map((choice) => (
        <ChoiceRow
          key={choice.choice}
          choice={choice}
          measures={measuresOf(choice.choice)}
          onChoose={(option) => onChoose(choice.choice, option)}
        />
      ))}
    </div>
  );
}

function ChoiceRow({
  choice,
  measures,
  onChoose,
}: {
  choice: ChoiceView;
  measures: ReactNode[];
  onChoose: (option: Option) => void;
}) {
  const name = useId();
  const said = choice.options.find(({ option }) => option === choice.chosen)?.sentence;
  return (
    <fieldset className="grid gap-x-3 py-2 md:grid-cols-[128px_1fr]">
      <legend className="float-left pt-1 font-semibold md:contents">
        <span className="pt-1">{choice.words}</span>
      </legend>
      <div>
        <div className="flex flex-wrap gap-1.5">
          {choice.options.map(({ option, words, sentence, notWith }) => (
            <label
              key={option}
              title={notWith ? `Not with ${notWith}` : sentence}
              className={`w-[86px] rounded border px-1 pt-1 pb-1 text-center text-[13px] leading-tight has-focus-visible:outline-2 has-focus-visible:outline-woad ${
                option === choice.chosen
                  ? 'border-2 border-woad bg-woad-tint'
                  : notWith
                    ? 'border-dashed border-line text-soft'
                    : 'cursor-pointer border-line-strong bg-white hover:bg-woad-tint'
              }`}
            >
              <input
                type="radio"
                className="sr-only"
                name={name}
                checked={option === choice.chosen}
                disabled={!!notWith}
                onChange={() => onChoose(option)}
              />
              <OptionDrawing option={option} />
              {words}
              {notWith && <span className="sr-only">{` (not with ${notWith})`}</span>}
            </label>
          ))}
        </div>
        <p className="mt-1 text-[13px] text-soft">{said}</p>
        {measures.length > 0 && <div className="mt-1.5 grid gap-3 sm:grid-cols-3">{measures}</div>}
      </div>
    </fieldset>
  );
}
