import { useState } from 'react';
import { Panel } from '../../../ui/Panel';
import type { WorkView } from './kept';
import { BigButton } from './touch';

const SEEN = 'mardun.cautions-seen';

const seen = () => (sessionStorage.getItem(SEEN) ?? '').split('|');

/** Usual care with a batch: once per sitting by itself, and always within reach. */
export function Cautions({ view }: { view: WorkView }) {
  const titles = view.cautions.map((caution) => caution.title);
  const mark = `${view.batchId}:${titles.join()}`;
  const [open, setOpen] = useState(() => titles.length > 0 && !seen().includes(mark));
  const close = () => {
    sessionStorage.setItem(SEEN, [...seen(), mark].join('|'));
    setOpen(false);
  };
  if (titles.length === 0) return null;
  return (
    <>
      <BigButton look="quiet" onPress={() => setOpen(true)}>
        Care
      </BigButton>
      <Panel
        title="Before you sit down"
        open={open}
        onOpenChange={(next) => (next ? setOpen(true) : close())}
      >
        <dl className="space-y-2.5 text-lg">
          {view.cautions.map((caution) => (
            <div key={`${caution.stage} ${caution.title}`}>
              <dt className="inline rounded bg-weld-tint px-1.5 font-bold text-weld">{caution.title}</dt>{' '}
              <dd className="inline">{caution.text}</dd>
            </div>
          ))}
        </dl>
        <p className="mt-3 text-soft">
          This is usual care and no advice. Rules for safety and labels differ: check those of your place, or
          ask someone licensed to advise.
        </p>
        <div className="mt-4">
          <BigButton onPress={close}>Read, and on</BigButton>
        </div>
      </Panel>
    </>
  );
}
