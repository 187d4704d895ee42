import { useState } from 'react';
import type { Schemas } from '../../../api/client';

type Question = Schemas['StallQuestion'];

/** What two devices sold that the book had but once: a plain question, answered when there is time. */
export function Questions({
  questions,
  onAnswer,
}: {
  questions: Question[];
  onAnswer: (form: Schemas['AnswerForm']) => void;
}) {
  const [other, setOther] = useState('');
  const question = questions[0];
  if (!question) return null;
  return (
    <section className="border-b-4 border-weld bg-weld-tint px-3 py-2" aria-label="A question">
      <p className="text-[17px]">
        <b>{question.words}</b> was sold {question.units === 1 ? 'once' : `${question.units} times`} more than
        there were. How was that?
        {questions.length > 1 && ` (one of ${questions.length} questions)`}
      </p>
      <div className="mt-1.5 flex flex-wrap items-center gap-2">
        <button
          type="button"
          className="min-h-11 rounded border-2 border-ink bg-white px-3 font-bold"
          onClick={() => onAnswer({ line: question.line, answer: 'ONE_MORE' })}
        >
          There was one more
        </button>
        <button
          type="button"
          className="min-h-11 rounded border-2 border-ink bg-white px-3 font-bold"
          onClick={() => onAnswer({ line: question.line, answer: 'NOT_SOLD' })}
        >
          It wasn’t sold
        </button>
        {question.others.length > 0 && (
          <span className="flex flex-wrap items-center gap-2">
            <select
              className="field !w-auto max-w-full"
              aria-label="Another bag"
              value={other}
              onChange={(event) => setOther(event.target.value)}
            >
              <option value="">It was another one …</option>
              {question.others.map((one) => (
                <option key={one.kind} value={one.kind}>
                  {one.words} ({one.there} left)
                </option>
              ))}
            </select>
            {other && (
              <button
                type="button"
                className="min-h-11 rounded border-2 border-ink bg-white px-3 font-bold"
                onClick={() => {
                  onAnswer({ line: question.line, answer: 'OTHER_BAG', kind: other });
                  setOther('');
                }}
              >
                That one
              </button>
            )}
          </span>
        )}
      </div>
    </section>
  );
}
