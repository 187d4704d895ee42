import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button, FileChoice, FileLink } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { Tag } from '../../ui/Tag';
import { fullDay } from '../../ui/units';
import { useSend } from '../../ui/useSend';

type Backups = Schemas['BackupsView'];
type Restore = Schemas['RestoreView'];

const KEY = ['backups'];
const SHOWN = 5;
/** Backups: what is kept, where they are copied to, all as one archive, and one brought back. */
export function BackupsPart() {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey: KEY, queryFn: () => api.get<Backups>('/api/backups') });
  const make = useSend(
    () => api.post<Backups>('/api/backups', ''),
    (made) => client.setQueryData(KEY, made),
  );
  const open = useSend((file: Blob) => api.post<Restore>('/api/backups/restore', file));
  const openKept = useSend((name: string) =>
    api.post<Restore>(`/api/backups/kept/${encodeURIComponent(name)}/restore`, ''),
  );
  const [all, setAll] = useState(false);
  const [anew, setAnew] = useState(false);
  // Another device of the workroom has no backups to look after.
  if (!data) return null;
  return (
    <section className="sheet mt-4 p-4" aria-label="Backups">
      <h2>Backups {data.place.late && <Tag look="bad">the second place is late</Tag>}</h2>
      <p className="text-soft">
        One is made each day, and one before a file is taken in, and read back before it counts; the last of
        seven days, five weeks and twelve months stay in the workroom’s folder.
      </p>
      <div className="mt-3 grid items-start gap-6 md:grid-cols-2">
        <div className="space-y-3">
          <div className="flex flex-wrap gap-2.5">
            <FileLink href="/api/backups/archive.zip">Save all as one file</FileLink>
            <Button look="quiet" disabled={make.isPending} onClick={() => make.mutate(undefined)}>
              {make.isPending ? 'Making one …' : 'Make a backup now'}
            </Button>
            <FileChoice>
              {open.isPending ? 'Reading it …' : 'Restore from a file'}
              <input
                type="file"
                accept=".zip,application/zip"
                className="sr-only"
                disabled={open.isPending}
                onChange={(event) => {
                  const file = event.target.files?.[0];
                  if (file) open.mutate(file);
                  event.target.value = '';
                }}
              />
            </FileChoice>
          </div>
          <ProblemNotice problem={make.problem ?? open.problem ?? openKept.problem} />
          {data.kept.length === 0 ? (
            <p className="text-soft">There is none yet.</p>
          ) : (
            <table className="listing">
              <caption className="sr-only">Backups that are kept</caption>
              <tbody>
                {data.kept.slice(0, all ? undefined : SHOWN).map((backup) => (
                  <tr key={backup.name}>
                    <td>
                      {fullDay(backup.madeAt)}, {backup.madeAt.slice(11, 16)}
                    </td>
                    <td className="num">{backup.size}</td>
                    <td className="text-right">
                      <a
                        className="inline-flex min-h-9 items-center font-semibold text-woad hover:underline"
                        href={`/api/backups/kept/${encodeURIComponent(backup.name)}`}
                        download
                        aria-label={`Save the backup of ${fullDay(backup.madeAt)}, ${backup.madeAt.slice(11, 16)}`}
                      >
                        Save
                      </a>
                      <button
                        type="button"
                        className="ml-3 min-h-9 font-semibold text-woad hover:underline"
                        aria-label={`Restore the backup of ${fullDay(backup.madeAt)}, ${backup.madeAt.slice(11, 16)}`}
                        disabled={openKept.isPending}
                        onClick={() => openKept.mutate(backup.name)}
                      >
                        Restore
                      </button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {data.kept.length > SHOWN && !all && (
            <Button look="quiet" onClick={() => setAll(true)}>
              All {data.kept.length}
            </Button>
          )}
        </div>
        <PlaceForm key={data.place.version} place={data.place} />
      </div>
      {anew ? (
        <AnewPanel />
      ) : (
        data.restore && <RestorePanel restore={data.restore} onAnew={() => setAnew(true)} />
      )}
    </section>
  );
}

/** A stick or another disk to which each backup is copied. */
function PlaceForm({ place }: { place: Backups['place'] }) {
  const client = useQueryClient();
  const [folder, setFolder] = useState(place.folder);
  const send = useSend(
    () => api.put<Backups>('/api/backups/place', { version: place.version, folder }),
    (kept) => client.setQueryData(KEY, kept),
  );
  return (
    <form
      noValidate
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!send.isPending) send.mutate(undefined);
      }}
    >
      <TextField
        label="A second place, on a stick or another disk"
        placeholder="/media/stick/mardun"
        maxLength={500}
        value={folder}
        error={send.problem?.on('folder')}
        hint="The whole path of a folder. Each backup is copied there as well."
        onChange={(event) => setFolder(event.target.value)}
      />
      {send.problem && !send.problem.on('folder') && <ProblemNotice problem={send.problem} />}
      {folder !== place.folder && (
        <Button type="submit" disabled={send.isPending}>
          {folder.trim() === '' ? 'Copy them nowhere' : 'Copy them there'}
        </Button>
      )}
      {folder === place.folder && place.folder !== '' && (
        <p className={place.late ? 'text-madder' : 'text-soft'}>
          {place.trouble ||
            (place.lastAt ? `The last one was copied on ${fullDay(place.lastAt)}.` : 'None was copied yet.')}
          {place.late && place.lastAt && place.trouble && ` The last copy is of ${fullDay(place.lastAt)}.`}
        </p>
      )}
      {place.folder === '' && folder === '' && (
        <p className="text-soft">
          All backups are on the same disk as the workroom. If it breaks, they are gone too.
        </p>
      )}
    </form>
  );
}

const photos = (count: number) =>
  count === 0 ? 'no photo' : count === 1 ? 'its one photo' : `its ${count} photos`;

/** What would be otherwise with an archive; restoring it starts Mardun anew. */
function RestorePanel({ restore, onAnew }: { restore: Restore; onAnew: () => void }) {
  const accept = useSend(
    () => api.post('/api/backups/restore/accept', { id: restore.id }),
    () => {
      onAnew();
      void again();
    },
  );
  const giveUp = useSend(() => api.remove('/api/backups/restore'));
  return (
    <Panel
      title={`Restore what was saved on ${fullDay(restore.madeAt)}, ${restore.madeAt.slice(11, 16)}?`}
      open
      onOpenChange={(open) => !open && giveUp.mutate(undefined)}
    >
      <table className="listing">
        <thead>
          <tr>
            <th>
              <span className="sr-only">What</span>
            </th>
            <th className="!text-right">now</th>
            <th className="!text-right">restored</th>
          </tr>
        </thead>
        <tbody>
          {restore.lines.map((line) => (
            <tr key={line.what} className={line.now === line.then ? 'text-soft' : 'font-bold'}>
              <td>{line.what}</td>
              <td className="num">{line.now}</td>
              <td className="num">{line.then}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-3">
        <Notice>
          All that is there now is put aside in a folder of its own, and Mardun starts anew with{' '}
          {photos(restore.pictures)} and the figures above.
        </Notice>
      </div>
      <ProblemNotice problem={accept.problem} />
      <div className="mt-3 flex gap-2.5">
        <Button disabled={accept.isPending} onClick={() => accept.mutate(undefined)}>
          Restore it
        </Button>
        <Button look="quiet" onClick={() => giveUp.mutate(undefined)}>
          Leave all as it is
        </Button>
      </div>
    </Panel>
  );
}

function AnewPanel() {
  return (
    <Panel title="Starting anew …" open onOpenChange={() => {}}>
      <p>Mardun starts with what was restored. This page comes back by itself.</p>
    </Panel>
  );
}

const ANEW_MS = 1500;

/** Waits until the application answers again, and loads the page anew. */
async function again() {
  for (;;) {
    await new Promise((done) => setTimeout(done, ANEW_MS));
    try {
      if ((await fetch('/actuator/health')).ok) break;
    } catch {
      // It isn't there yet.
    }
  }
  window.location.reload();
}
