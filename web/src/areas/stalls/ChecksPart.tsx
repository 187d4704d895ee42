import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { TextField } from '../../ui/Field';
import { useRequestId, useSend } from '../../ui/useSend';

type Fair = Schemas['FairView'];

/** What has to be there, or asked, before a fair; the list goes along from fair to fair. */
export function ChecksPart({ fair }: { fair: Fair }) {
  const request = useRequestId();
  const [words, setWords] = useState('');
  const add = useSend(
    () => api.post<Fair>(`/api/fairs/${fair.id}/checks`, { requestId: request.id, words }),
    () => {
      setWords('');
      request.renew();
    },
  );
  const tick = useSend((check: Schemas['CheckView']) =>
    api.put<Fair>(`/api/fairs/${fair.id}/checks/${check.id}`, { done: !check.done }),
  );
  const remove = useSend((check: number) => api.remove(`/api/fairs/${fair.id}/checks/${check}`));
  const problem = tick.problem ?? remove.problem;
  return (
    <section className="sheet p-4" aria-label="To bring and to ask">
      <h2>To bring and to ask</h2>
      <p className="text-[13px] text-soft">Rules for traders are local: ask there. This only reminds.</p>
      <ul className="mt-1">
        {fair.checks.map((check) => (
          <li key={check.id} className="flex items-center border-b border-line-faint">
            <label className="flex min-h-11 flex-1 items-center gap-2.5">
              <input
                type="checkbox"
                className="size-5 shrink-0"
                checked={check.done}
                onChange={() => tick.mutate(check)}
              />
              <span className={check.done ? 'text-soft line-through' : ''}>{check.words}</span>
            </label>
            <button
              type="button"
              className="min-h-11 min-w-11 font-semibold text-soft hover:text-madder"
              aria-label={`Remove “${check.words}” from the list`}
              onClick={() => remove.mutate(check.id)}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      <form
        noValidate
        className="mt-2 flex items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!add.isPending) add.mutate(undefined);
        }}
      >
        <div className="flex-1">
          <TextField
            label="Something else"
            hideLabel
            placeholder="Something else"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            error={add.problem?.on('words')}
          />
        </div>
        <Button type="submit" look="quiet" disabled={add.isPending}>
          Add
        </Button>
      </form>
      {problem && <ProblemNotice problem={problem} />}
    </section>
  );
}
