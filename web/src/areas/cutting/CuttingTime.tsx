import { api, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { useSend } from '../../ui/useSend';

/** What the sheets and the design's steps say about the same cutting, and a way to let them meet. */
export function CuttingTime({
  batchId,
  minutes,
  onTaken,
}: {
  batchId: number;
  minutes: Schemas['MinutesView'];
  onTaken: (cutting: Schemas['CuttingView']) => void;
}) {
  const take = useSend(
    () =>
      api.post<Schemas['CuttingView']>(`/api/batches/${batchId}/cutting/minutes`, {
        sheetSeconds: minutes.sheet.seconds,
        stepsSeconds: minutes.steps.seconds,
      }),
    (taken) => onTaken(taken),
  );
  const steps = minutes.names.map((name) => `“${name}”`).join(' and ');
  return (
    <section className="sheet no-print p-3.5" aria-label="Time for cutting">
      <h2>Time for cutting</h2>
      {minutes.meets ? (
        <p>
          The sheets come to <b>{minutes.sheet.text}</b>, and so {minutes.names.length > 1 ? 'say' : 'says'}{' '}
          {steps}.
        </p>
      ) : (
        <>
          <p className="mb-2">
            The sheets of all cloths come to <b>{minutes.sheet.text}</b>; {steps}{' '}
            {minutes.names.length > 1 ? 'say' : 'says'} <b>{minutes.steps.text}</b>. The plan, its cost and
            its price go by the steps.
          </p>
          <Button
            look="quiet"
            disabled={take.isPending}
            onClick={() => {
              if (!take.isPending) take.mutate(undefined);
            }}
          >
            Let the design’s steps say {minutes.sheet.text}
          </Button>
          <ProblemNotice problem={take.problem} />
        </>
      )}
    </section>
  );
}
