import { Button, FileChoice } from './Button';
import { ProblemNotice } from './Notice';
import { api } from '../api/client';
import { useSend } from './useSend';

/** Adds a photo, or takes the one that is there away. */
export function PhotoButton({ path, photo, onDone }: { path: string; photo?: string; onDone?: () => void }) {
  const send = useSend((file: Blob) => api.put(path, file), onDone);
  const remove = useSend(() => api.remove(path), onDone);
  return (
    <div>
      {photo ? (
        <Button look="quiet" onClick={() => remove.mutate(undefined)} disabled={remove.isPending}>
          Take the photo away
        </Button>
      ) : (
        <FileChoice>
          Add a photo
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) send.mutate(file);
              event.target.value = '';
            }}
          />
        </FileChoice>
      )}
      <ProblemNotice problem={send.problem ?? remove.problem} />
    </div>
  );
}
