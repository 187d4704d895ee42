import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { keys } from '../../api/queries';
import { Button } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { TextField } from '../../ui/Field';
import { useLines } from '../../ui/useLines';
import { useSend } from '../../ui/useSend';

type Fair = Schemas['FairView'];

/** What has to be there, or asked, before a fair; the list goes along from fair to fair. */
export function ChecksPart({ fair }: { fair: Fair }) {
  const more = useLines(({ id, text }) =>
    api.post<Fair>(`/api/fairs/${fair.id}/checks`, { requestId: id, words: text }),
  );
  const client = useQueryClient();
  // What was touched shows at once, so that a second touch is one after the first.
  const [touched, setTouched] = useState<Record<number, boolean>>({});
  const answered = (id: number, done: boolean) =>
    setTouched((now) => {
      if (now[id] !== done) return now;
      const others = { ...now };
      delete others[id];
      return others;
    });
  const tick = useSend(
    ({ id, done }: { id: number; done: boolean }) =>
      api.put<Fair>(`/api/fairs/${fair.id}/checks/${id}`, { done }),
    (saved, { id, done }) => {
      client.setQueryData([...keys.fairs, fair.id], saved);
      answered(id, done);
    },
  );
  const touch = (id: number, done: boolean) => {
    setTouched((now) => ({ ...now, [id]: done }));
    tick.mutateAsync({ id, done }).catch(() => answered(id, done));
  };
  const isDone = (check: Schemas['CheckView']) => touched[check.id] ?? check.done;
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
                checked={isDone(check)}
                onChange={(event) => touch(check.id, event.target.checked)}
              />
              <span className={isDone(check) ? 'text-soft line-through' : ''}>{check.words}</span>
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
          more.enter();
        }}
      >
        <div className="flex-1">
          <TextField
            label="Something else"
            hideLabel
            placeholder="Something else"
            value={more.text}
            onChange={(event) => more.type(event.target.value)}
            error={more.error}
          />
        </div>
        <Button type="submit" look="quiet">
          Add
        </Button>
      </form>
      {problem && <ProblemNotice problem={problem} />}
    </section>
  );
}
