import { Link } from 'react-router';
import { api } from '../../../api/client';
import { Notice } from '../../../ui/Notice';
import { useSend } from '../../../ui/useSend';
import type { WorkView } from './kept';
import { BigButton } from './touch';

/** One is sewn first: when it is, it is measured, and the others go on or wait. */
export function OneFirst({ view, onDone }: { view: WorkView; onDone: () => void }) {
  const goOn = useSend(() => api.put<void>(`/api/batches/${view.batchId}/one-first?on=false`, {}), onDone);
  const design = view.turns[0]?.parts[0]?.designId;
  return (
    <div className="mt-2">
      <Notice look="ok">
        {view.firstIsSewn
          ? 'The first one is sewn. Measure it, and say what you find; the others wait for you.'
          : 'One is sewn first, to be measured; the others wait.'}
        {view.firstIsSewn && (
          <span className="mt-2 flex flex-wrap gap-3">
            {design !== undefined && (
              <Link
                to={`/designs/${design}?tab=ask`}
                className="inline-flex min-h-14 items-center px-2 text-lg font-semibold text-woad hover:underline"
              >
                It came out different …
              </Link>
            )}
            <BigButton onPress={() => goOn.mutate(undefined)}>It is right: go on with the others</BigButton>
          </span>
        )}
        {goOn.problem && <span className="block">{goOn.problem.message}</span>}
      </Notice>
    </div>
  );
}
