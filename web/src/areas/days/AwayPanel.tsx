import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useSend } from '../../ui/useSend';

/** Days on which it is otherwise, one after another: away, or a week with more time. */
export function AwayPanel({
  open,
  onOpenChange,
  today,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  today: string;
}) {
  const [note, setNote] = useState('');
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [hours, setHours] = useState('0');
  const send = useSend(
    () =>
      api.post<Schemas['FreeDayView'][]>('/api/free-days', {
        from,
        to: to || from,
        hours,
        note: note.trim(),
      }),
    () => {
      setNote('');
      setFrom('');
      setTo('');
      setHours('0');
      onOpenChange(false);
    },
  );
  return (
    <Panel title="Days that aren’t as usual" open={open} onOpenChange={onOpenChange}>
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <TextField
          label="What for"
          hint="away, school holidays, a long Saturday; may stay empty"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <div className="grid grid-cols-3 items-start gap-3">
          <TextField
            label="From"
            type="date"
            required
            min={today}
            value={from}
            onChange={(event) => setFrom(event.target.value)}
            error={send.problem?.on('day')}
          />
          <TextField
            label="To"
            hint="the same day, if empty"
            type="date"
            min={from || today}
            value={to}
            onChange={(event) => setTo(event.target.value)}
            error={send.problem?.on('to')}
          />
          <TextField
            label="Hours free each day"
            inputMode="decimal"
            value={hours}
            onChange={(event) => setHours(event.target.value)}
            error={send.problem?.on('hours')}
          />
        </div>
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending || !from}>
          Save
        </Button>
      </form>
    </Panel>
  );
}
