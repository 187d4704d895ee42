import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useMaterials } from '../../api/queries';
import { api, Problem, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { useUnits } from '../../ui/units';

/** What would come of another width or cloth, fewer bags, turned pieces, or more cloth; nothing is stored. */
export function WhatIf({ batchId, materialId }: { batchId: number; materialId: number }) {
  const units = useUnits();
  const [width, setWidth] = useState('');
  const [more, setMore] = useState('');
  const [fewer, setFewer] = useState(true);
  const [turned, setTurned] = useState(true);
  const [from, setFrom] = useState('');
  const { data: materials } = useMaterials();
  const others =
    materials?.items.filter((one) => one.kind === 'CLOTH' && one.id !== materialId && !one.putAway) ?? [];
  const ask = useMutation({
    mutationFn: () =>
      api.post<Schemas['WhatIfView']>(`/api/batches/${batchId}/cutting/what-if`, {
        materialId,
        width,
        more,
        fewer: fewer ? 1 : 0,
        turned,
        from: from ? Number(from) : undefined,
      }),
  });
  const problem = ask.error instanceof Problem ? ask.error : undefined;
  return (
    <form
      noValidate
      className="sheet no-print p-3.5"
      aria-label="What if"
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate();
      }}
    >
      <h2>What if</h2>
      <div className="mt-1.5 grid grid-cols-2 items-start gap-3 md:grid-cols-3">
        <TextField
          label={`it were as wide as (${units.small})`}
          value={width}
          onChange={(event) => setWidth(event.target.value)}
          error={problem?.on('width')}
        />
        <TextField
          label={`I had more of it (${units.small})`}
          value={more}
          onChange={(event) => setMore(event.target.value)}
          error={problem?.on('more')}
        />
        <SelectField label="it were cut from" value={from} onChange={(event) => setFrom(event.target.value)}>
          <option value="">no other cloth</option>
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </SelectField>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={fewer}
            onChange={(event) => setFewer(event.target.checked)}
          />
          one bag fewer
        </label>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={turned}
            onChange={(event) => setTurned(event.target.checked)}
          />
          pieces turned
        </label>
        <Button type="submit" look="quiet" className="justify-self-start" disabled={ask.isPending}>
          {ask.isPending ? 'Trying …' : 'Try it'}
        </Button>
      </div>
      {problem && problem.errors.length === 0 && <ProblemNotice problem={problem} />}
      <ul className="mt-2 space-y-1" role="status">
        {ask.data?.sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </form>
  );
}
