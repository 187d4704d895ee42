import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../api/client';
import { Button } from '../ui/Button';
import { TextField } from '../ui/Field';
import { ProblemNotice } from '../ui/Notice';
import { useSend } from '../ui/useSend';
import { useTitle } from '../ui/useTitle';
import { doorKey } from './useRole';

/** What another device of the workroom sees until somebody has said the passphrase. */
export function EnterPage({ onInside }: { onInside: () => void }) {
  useTitle('Sign in');
  const [passphrase, setPassphrase] = useState('');
  const client = useQueryClient();
  const enter = useSend(async () => {
    // Asked for first, so that the browser has what it has to send along.
    await api.get('/api/door');
    await api.post<void>('/api/door/enter', { passphrase });
    // What was known of the door was known outside.
    client.removeQueries({ queryKey: doorKey });
  }, onInside);
  const wrong = enter.problem?.on('passphrase');
  return (
    <main className="grid min-h-full place-items-center p-6">
      <form
        noValidate
        className="sheet w-[min(420px,92vw)] space-y-4 p-6"
        onSubmit={(event) => {
          event.preventDefault();
          if (!enter.isPending) enter.mutate(undefined);
        }}
      >
        <h1>Mardun</h1>
        <p className="text-soft">
          This workroom is locked. The passphrase was set at the machine on which Mardun runs.
        </p>
        <TextField
          label="Passphrase"
          type="password"
          autoFocus
          autoComplete="current-password"
          value={passphrase}
          error={wrong}
          onChange={(event) => setPassphrase(event.target.value)}
        />
        {enter.problem && !wrong && <ProblemNotice problem={enter.problem} />}
        <Button type="submit" className="!min-h-14 w-full text-lg" disabled={enter.isPending}>
          Sign in
        </Button>
      </form>
    </main>
  );
}
