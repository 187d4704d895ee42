import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { Button, FileChoice } from '../../ui/Button';
import { TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { Panel } from '../../ui/Panel';
import { useRequestId, useSend } from '../../ui/useSend';

type Imported = Schemas['ImportedDesigns'];

/** Takes a design, or a book of them, in from a file; asks for another name where its own is taken. */
export function TakeIn() {
  const { id: requestId, renew } = useRequestId();
  const [file, setFile] = useState<File>();
  const [name, setName] = useState('');
  const [taken, setTaken] = useState<Imported>();
  const send = useSend(
    ({ what, called }: { what: File; called: string }) =>
      api.post<Imported>(`/api/design-files?requestId=${requestId}&name=${encodeURIComponent(called)}`, what),
    (done) => {
      setTaken(done);
      setFile(undefined);
      renew();
    },
  );
  const close = () => {
    setFile(undefined);
    setTaken(undefined);
    setName('');
    send.reset();
  };
  const clash = send.problem?.on('name');
  return (
    <>
      <FileChoice>
        Import a file
        <input
          type="file"
          accept=".json,.zip,application/json,application/zip"
          className="sr-only"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = '';
            if (!chosen) return;
            setName('');
            setTaken(undefined);
            setFile(chosen);
            send.mutate({ what: chosen, called: '' });
          }}
        />
      </FileChoice>
      {(file || taken) && (
        <Panel title={taken ? 'Imported' : 'Import a design'} open onOpenChange={(open) => !open && close()}>
          {taken ? (
            <>
              <ul>
                {taken.designs.map((design) => (
                  <li key={design.id}>
                    <Link
                      className="inline-flex min-h-9 items-center font-semibold text-woad hover:underline"
                      to={`/designs/${design.id}`}
                    >
                      {design.name}
                    </Link>
                  </li>
                ))}
              </ul>
              {taken.unmatched.length > 0 && (
                <>
                  <p className="mt-2">
                    Not on your shelf under these names; choose what fills them where a batch is planned:
                  </p>
                  <ul className="list-disc pl-5 text-soft">
                    {taken.unmatched.map((one) => (
                      <li key={one}>{one}</li>
                    ))}
                  </ul>
                </>
              )}
            </>
          ) : (
            <form
              noValidate
              className="space-y-3"
              onSubmit={(event) => {
                event.preventDefault();
                if (file && !send.isPending) send.mutate({ what: file, called: name });
              }}
            >
              {send.isPending && <p className="text-soft">Reading {file?.name} …</p>}
              {send.problem && !clash && <ProblemNotice problem={send.problem} />}
              {(clash || name !== '') && (
                <>
                  <TextField
                    label="What is it called here?"
                    maxLength={120}
                    value={name}
                    error={clash}
                    onChange={(event) => setName(event.target.value)}
                  />
                  <Button type="submit" disabled={send.isPending || name.trim() === ''}>
                    Import it
                  </Button>
                </>
              )}
            </form>
          )}
        </Panel>
      )}
    </>
  );
}
