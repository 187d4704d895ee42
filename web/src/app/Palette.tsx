import { useQuery } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas } from '../api/client';
import { keys, useDesignNames, useFairs } from '../api/queries';
import { allTopics, rulesOf } from '../areas/help/topics';
import { day } from '../ui/units';
import { useSettled } from '../ui/useSettled';

const SHOWN = 6;

const DO = [
  { name: 'Begin a new design', to: '/designs/new' },
  { name: 'Plan a batch', to: '/batches/new' },
  { name: 'Write a quote', to: '/prices/quotes/new' },
  { name: 'Print price tickets', to: '/prices/tickets' },
  { name: 'Enter a delivery', to: '/materials/deliveries' },
  { name: 'Count the stock', to: '/materials/stock-take' },
  { name: 'Make a buying list', to: '/materials/buying' },
  { name: 'What can I make of this cloth?', to: '/materials/hand' },
];

const PLACES = [
  { name: 'Bench', to: '/bench' },
  { name: 'The days', to: '/bench/days' },
  { name: 'Designs', to: '/designs' },
  { name: 'Materials', to: '/materials' },
  { name: 'Finished bags', to: '/materials/finished' },
  { name: 'Batches', to: '/batches' },
  { name: 'Prices', to: '/prices' },
  { name: 'Quotes', to: '/prices/quotes' },
  { name: 'Private orders', to: '/stalls/orders' },
  { name: 'Resellers', to: '/stalls/resellers' },
  { name: 'Online shop', to: '/stalls/online' },
  { name: 'Posting', to: '/stalls/posting' },
  { name: 'Logbook', to: '/logbook' },
  { name: 'What the year says', to: '/year' },
  { name: 'The year for the books', to: '/year/books' },
  { name: 'Settings', to: '/settings' },
  { name: 'Rules and words', to: '/help' },
];

const has = (text: string, words: string) =>
  words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.toLowerCase().includes(word));

/** Goes to whatever is typed: a place, a design, a batch, a material, a fair, a rule, or something to do. */
export default function Palette({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const words = text.trim();
  const asked = useSettled(words, 120);
  const { data: designs } = useDesignNames();
  const { data: fairs } = useFairs();
  const { data: materials } = useQuery({
    queryKey: [...keys.materials, 'palette', asked],
    queryFn: () =>
      api.get<Schemas['PageViewMaterialView']>(
        `/api/materials?size=${SHOWN}&query=${encodeURIComponent(asked)}`,
      ),
    enabled: asked !== '',
  });
  const { data: batches } = useQuery({
    queryKey: [...keys.batches, 'palette', asked],
    queryFn: () =>
      api.get<Schemas['PageViewBatchRow']>(`/api/batches?size=${SHOWN}&q=${encodeURIComponent(asked)}`),
    enabled: asked !== '',
  });
  const { data: topics } = useQuery({ queryKey: ['topics'], queryFn: allTopics, staleTime: Infinity });
  const go = (to: string) => {
    onClose();
    void navigate(to);
  };
  const item = (value: string, name: string, to: string, more?: string) => (
    <Command.Item
      key={value}
      value={value}
      onSelect={() => go(to)}
      className="flex min-h-10 cursor-pointer items-center justify-between gap-3 rounded px-3 data-[selected=true]:bg-woad-tint"
    >
      <span>{name}</span>
      {more && <span className="text-[13.5px] text-soft">{more}</span>}
    </Command.Item>
  );
  const group = (heading: string, items: React.ReactNode[]) =>
    items.length > 0 && (
      <Command.Group
        heading={heading}
        className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-[13px] [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-soft"
      >
        {items}
      </Command.Group>
    );
  const found = words !== '';
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="sheet fixed top-[10vh] left-1/2 z-40 w-[min(600px,94vw)] -translate-x-1/2 overflow-hidden shadow-xl"
        >
          <Dialog.Title className="sr-only">Go to</Dialog.Title>
          <Command shouldFilter={false} label="Go to" loop>
            <Command.Input
              value={text}
              onValueChange={setText}
              maxLength={100}
              placeholder="Go to a design, a batch, a material, a fair, a rule …"
              className="w-full border-b border-line bg-white px-4 py-3.5 text-lg outline-none"
            />
            <Command.List className="max-h-[60vh] overflow-y-auto p-1.5">
              <Command.Empty className="px-3 py-5 text-soft">
                Nothing has “{words}” in its name.
              </Command.Empty>
              {group(
                'Do',
                DO.filter(({ name }) => has(name, words)).map(({ name, to }) => item(`do ${name}`, name, to)),
              )}
              {found &&
                group(
                  'Designs',
                  (designs ?? [])
                    .filter(({ name }) => has(name, words))
                    .slice(0, SHOWN)
                    .map(({ id, name }) => item(`design ${id}`, name, `/designs/${id}`)),
                )}
              {found &&
                group(
                  'Batches',
                  (batches?.items ?? []).map((batch) =>
                    item(
                      `batch ${batch.id}`,
                      `Batch ${batch.id} · ${batch.units} × ${batch.designName}`,
                      `/batches/${batch.id}`,
                      batch.forWhat,
                    ),
                  ),
                )}
              {found &&
                group(
                  'Materials',
                  (materials?.items ?? []).map(({ id, name }) =>
                    item(`material ${id}`, name, `/materials/${id}`),
                  ),
                )}
              {found &&
                group(
                  'Fairs',
                  (fairs ?? [])
                    .filter(({ name }) => has(name, words))
                    .slice(0, SHOWN)
                    .map(({ id, name, heldOn }) => item(`fair ${id}`, name, '/bench', day(heldOn))),
                )}
              {group(
                'Places',
                PLACES.filter(({ name }) => has(name, words)).map(({ name, to }) =>
                  item(`place ${name}`, name, to),
                ),
              )}
              {found &&
                group(
                  'Rules and words',
                  (topics ?? [])
                    .flatMap((topic) =>
                      rulesOf(topic)
                        .filter((rule) => has(`${rule.name} ${topic.title}`, words))
                        .map((rule) => ({ ...rule, title: topic.title })),
                    )
                    .slice(0, SHOWN)
                    .map(({ topic, name, title }, i) =>
                      item(
                        `rule ${topic} ${name} ${i}`,
                        name,
                        `/help/${topic}?rule=${encodeURIComponent(name)}`,
                        title,
                      ),
                    ),
                )}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
