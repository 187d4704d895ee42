import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useRequestId, useSend } from '../../ui/useSend';

/** Pieces that were spoiled are cut once more, where that loses least. */
export function SpoiledPanel({
  batchId,
  cloth,
  onClose,
}: {
  batchId: number;
  cloth: Schemas['ClothView'];
  onClose: () => void;
}) {
  const [letter, setLetter] = useState(cloth.pieces[0]?.letter ?? '');
  const [count, setCount] = useState('1');
  const [chosen, setChosen] = useState<number>();
  const holding = cloth.mats.filter((mat) => mat.pieces.some((piece) => piece.letter === letter));
  const from = holding.find((mat) => mat.cloth === chosen) ?? holding[0];
  const request = useRequestId();
  const send = useSend(
    () =>
      api.post<Schemas['CuttingView']>(`/api/batches/${batchId}/cutting/spoiled`, {
        requestId: request.id,
        materialId: cloth.materialId,
        letter,
        count,
        cloth: cloth.severalDyes ? from?.cloth : undefined,
      }),
    onClose,
  );
  return (
    <Panel title="Spoiled" open onOpenChange={(open) => !open && onClose()}>
      <form
        noValidate
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!send.isPending) send.mutate(undefined);
        }}
      >
        <p className="text-soft">
          It is cut once more from the smallest rest that holds it, or else from{' '}
          {cloth.bySheet ? 'another sheet' : 'the roll'}.
        </p>
        <SelectField label="Which piece" value={letter} onChange={(event) => setLetter(event.target.value)}>
          {cloth.pieces.map((kind) => (
            <option key={kind.letter} value={kind.letter}>
              {kind.letter}, {kind.name}
            </option>
          ))}
        </SelectField>
        {cloth.severalDyes && (
          <SelectField
            label="It was cut from"
            hint="All pieces of a bag are of one dye lot."
            value={from?.cloth}
            onChange={(event) => setChosen(Number(event.target.value))}
            error={send.problem?.on('cloth')}
          >
            {holding.map((mat) => (
              <option key={mat.cloth} value={mat.cloth}>
                {mat.title.replace(/^From /, '')}
              </option>
            ))}
          </SelectField>
        )}
        <TextField
          label="How many"
          inputMode="numeric"
          value={count}
          onChange={(event) => setCount(event.target.value)}
          error={send.problem?.on('count')}
        />
        {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
        <Button type="submit" disabled={send.isPending}>
          Cut it once more
        </Button>
      </form>
    </Panel>
  );
}
