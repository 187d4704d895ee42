import { useState } from 'react';
import { useDesignNames } from '../../api/queries';
import { Button, FileLink } from '../../ui/Button';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { Tick } from './fields';

/** Sends designs out: all of them or some, with their photos or without. */
export function Export() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        Export
      </Button>
      {open && <ExportPanel onClose={() => setOpen(false)} />}
    </>
  );
}

function ExportPanel({ onClose }: { onClose: () => void }) {
  const { data, error } = useDesignNames();
  const [left, setLeft] = useState<number[]>([]);
  const [photos, setPhotos] = useState(true);
  const chosen = (data ?? []).filter((design) => !left.includes(design.id));
  const isAll = left.length === 0;
  const query = isAll ? '' : `?ids=${chosen.map((design) => design.id).join(',')}`;
  return (
    <Panel title="Export designs" open onOpenChange={(next) => !next && onClose()}>
      {error && <ProblemNotice problem={error} />}
      {data && (
        <div className="space-y-3">
          <Tick
            label={`All ${data.length}`}
            checked={isAll}
            onTick={(all) => setLeft(all ? [] : data.map((design) => design.id))}
          />
          <ul
            className="m-0 max-h-[320px] list-none overflow-y-auto border-y border-line p-0 py-1"
            aria-label="Which designs"
          >
            {data.map((design) => (
              <li key={design.id}>
                <Tick
                  label={design.name}
                  checked={!left.includes(design.id)}
                  onTick={(on) => setLeft(on ? left.filter((id) => id !== design.id) : [...left, design.id])}
                />
              </li>
            ))}
          </ul>
          <Tick label="With their photos, as a ZIP file" checked={photos} onTick={setPhotos} />
          {chosen.length > 0 ? (
            <FileLink href={`/api/design-book.${photos ? 'zip' : 'json'}${query}`}>
              {chosen.length === 1 ? 'Export this design' : `Export these ${chosen.length}`}
            </FileLink>
          ) : (
            <p className="text-soft">Tick the designs that shall go out.</p>
          )}
        </div>
      )}
    </Panel>
  );
}
