import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { Button, FileLink } from '../../ui/Button';
import { Panel } from '../../ui/Panel';

type Shipped = Schemas['ShippedParts'];

const PLACE = { SERVER: 'server', PAGE: 'page' } as const;

/** The application itself: its log for whoever helps, and what it is made of. */
export function CarePart() {
  const [open, setOpen] = useState(false);
  const { data } = useQuery({
    queryKey: ['parts'],
    queryFn: () => api.get<Shipped>('/api/parts'),
    staleTime: Infinity,
  });
  if (!data) return null;
  return (
    <section className="sheet mt-4 p-4" aria-label="When something is wrong">
      <h2>When something is wrong</h2>
      <p className="text-soft">
        The log tells what Mardun did in the last fortnight, without names or anything else that was typed.
        Send it to whoever helps.
      </p>
      <div className="mt-3 flex flex-wrap gap-2.5">
        <FileLink href="/api/log.txt">Save the log</FileLink>
        <Button look="quiet" onClick={() => setOpen(true)}>
          What Mardun is made of
        </Button>
      </div>
      <Panel title={`What Mardun ${data.version} is made of`} open={open} onOpenChange={setOpen} wide>
        <p className="text-soft">
          {data.parts.length} parts that others made, in the server and in its pages. The whole lists are in
          CycloneDX:{' '}
          <a className="text-woad underline" href="/api/parts/server.cdx.json">
            server
          </a>
          ,{' '}
          <a className="text-woad underline" href="/api/parts/page.cdx.json">
            pages
          </a>
          .
        </p>
        <table className="mt-3 w-full text-left">
          <thead>
            <tr>
              <th scope="col">Part</th>
              <th scope="col">Version</th>
              <th scope="col">Licence</th>
              <th scope="col">In the</th>
            </tr>
          </thead>
          <tbody>
            {data.parts.map((part) => (
              <tr key={`${part.place} ${part.name} ${part.version}`} className="border-t border-line">
                <td className="py-1 pr-3">{part.name}</td>
                <td className="py-1 pr-3">{part.version}</td>
                <td className="py-1 pr-3">{part.licence}</td>
                <td className="py-1">{PLACE[part.place]}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Panel>
    </section>
  );
}
