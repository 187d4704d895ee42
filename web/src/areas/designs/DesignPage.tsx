import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { keys, useDesign } from '../../api/queries';
import { Button, ButtonLink, FileLink } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { PutAwayPart } from '../../ui/PutAwayPart';
import { Tag } from '../../ui/Tag';
import { PIN, PinnedNotes } from '../../ui/PinnedNotes';
import { Ticket } from '../../ui/Ticket';
import { rebased } from '../../ui/rebased';
import { useDraft } from '../../ui/useDraft';
import { useHistory } from '../../ui/useHistory';
import { useSend } from '../../ui/useSend';
import { useSettled } from '../../ui/useSettled';
import { AboutTab } from './AboutTab';
import { ChecksTab } from './ChecksTab';
import { ChoicesTab } from './ChoicesTab';
import { ClashPanel } from './ClashPanel';
import { DesignDrawing } from './DesignDrawing';
import { EditingContext, type Document, type Sheet } from './editing';
import { FormTab } from './FormTab';
import { MeasurementTable } from './MeasurementTable';
import { PhotosPart } from './PhotosPart';
import { PartsTab } from './PartsTab';
import { PieceTable } from './PieceTable';
import { RevisionsTab } from './RevisionsTab';
import { StepTable } from './StepTable';
import { TrimTab } from './TrimTab';
import { useTitle } from '../../ui/useTitle';

const RulesPanel = lazy(() => import('./RulesPanel'));
const QuestionsTab = lazy(() => import('./QuestionsTab'));

interface Draft {
  version: number;
  document: Document;
}

/** Where the parts of a design are edited. */
const TAB_OF: Record<string, string> = {
  measurements: 'measurements',
  sizes: 'measurements',
  pieces: 'pieces',
  letters: 'pieces',
  panels: 'form',
  form: 'form',
  trims: 'trims',
  zips: 'trims',
  straps: 'trims',
  casings: 'trims',
  gathers: 'trims',
  notions: 'trims',
  fillings: 'trims',
  steps: 'steps',
  openChoices: 'choices',
  source: 'about',
  slots: 'about',
};

export default function DesignPage() {
  const id = Number(useParams().id);
  const { data, error } = useDesign(id);
  if (error) return <ProblemNotice problem={error} />;
  if (!data) return <p className="text-soft">Opening the design …</p>;
  return <DesignEditor key={id} design={data} />;
}

function DesignEditor({ design }: { design: Schemas['DesignView'] }) {
  const draft = useDraft<Draft>(`mardun.design.${design.id}`, {
    version: design.version,
    document: design.document,
  });
  const { version, document } = draft.value ?? { version: design.version, document: design.document };
  useTitle(document.name);
  const client = useQueryClient();
  const [size, setSize] = useState(document.sizes[document.sizes.length - 1] ?? '');
  const [tab, setTab] = useState(
    () => new URLSearchParams(window.location.search).get('tab') ?? 'measurements',
  );
  const [piece, setPiece] = useState<string>();
  const [rules, setRules] = useState(false);
  const parts = useRef<HTMLDivElement>(null);
  const history = useHistory<Document>(document, (next) => draft.change({ version, document: next }));
  const settled = useSettled(document, 60);
  const preview = useQuery({
    queryKey: ['design-preview', design.id, settled],
    queryFn: ({ signal }) =>
      api.post<Sheet>('/api/designs/preview', { document: settled, id: design.id }, signal),
    placeholderData: keepPreviousData,
    enabled: draft.isChanged,
    gcTime: 10_000,
  });
  const sheet = draft.isChanged ? (preview.data ?? design.sheet) : design.sheet;
  const shown = sheet.sizes.find((s) => s.size === size) ?? sheet.sizes[0];
  const save = useSend(
    ({ typed, over }: { typed: Draft; over?: number }) =>
      api.put<Schemas['DesignView']>(`/api/designs/${design.id}`, {
        ...typed,
        version: over ?? typed.version,
      }),
    (stored, { typed }) => {
      client.setQueryData([...keys.designs, design.id], stored);
      draft.saved(typed, { version: stored.version, document: stored.document });
      history.forget();
    },
  );
  const giveUp = () => {
    draft.giveUp();
    history.forget();
  };
  const latest = useRef(document);
  useEffect(() => {
    latest.current = document;
  });
  const change = (next: Partial<Document>) => {
    // What was refused is said until something is changed; then the preview says what is still wrong.
    if (save.problem && !save.problem.isClash) save.reset();
    // Two changes may come before the page is drawn anew.
    latest.current = rebased(latest.current, document, { ...document, ...next });
    history.change(latest.current);
  };
  const ofTheForm =
    shown?.findings.filter((f) => f.severity === 'REFUSED' && f.place.startsWith('form')) ?? [];
  const toLookAt = new Set(
    sheet.sizes.flatMap((s) => s.findings.filter((f) => !f.setAside).map((f) => f.place + f.check)),
  ).size;
  const goTo = (place: string) => {
    const [part = '', key] = place.split('.');
    setTab(TAB_OF[part] ?? 'measurements');
    if (part === 'pieces') setPiece(key);
    parts.current?.scrollIntoView?.({ block: 'nearest' });
  };
  return (
    <EditingContext value={{ document, sheet, shown, change, goTo }}>
      <header className="mb-3 flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
        <div className="min-w-0 flex-1">
          <div className="text-soft">
            Design{document.sort && ` · ${document.sort}`} {design.putAway && <Tag look="care">put away</Tag>}
          </div>
          <input
            aria-label="Name of the design"
            className="-ml-1 w-full max-w-[460px] rounded border border-transparent bg-transparent px-1 text-2xl font-bold hover:border-line-strong focus:bg-white"
            value={document.name}
            onChange={(event) => change({ name: event.target.value })}
          />
          {save.problem?.on('name') && <div className="text-madder">{save.problem.on('name')}</div>}
        </div>
        <div className="flex flex-wrap gap-2.5">
          <Button look="quiet" onClick={() => setRules(true)}>
            Rules
          </Button>
          {!draft.isChanged && (
            <ButtonLink look="quiet" to={`/designs/${design.id}/templates`}>
              Templates
            </ButtonLink>
          )}
          {!draft.isChanged && <FileLink href={`/api/designs/${design.id}/design.json`}>Export</FileLink>}
          {(history.canUndo || history.canRedo) && (
            <>
              <Button look="quiet" onClick={history.undo} disabled={!history.canUndo} title="Ctrl+Z">
                Undo
              </Button>
              <Button look="quiet" onClick={history.redo} disabled={!history.canRedo} title="Ctrl+Shift+Z">
                Redo
              </Button>
            </>
          )}
          {draft.isChanged ? (
            <>
              <Button look="quiet" onClick={giveUp}>
                Undo all
              </Button>
              <Button onClick={() => save.mutate({ typed: { version, document } })} disabled={save.isPending}>
                Save
              </Button>
            </>
          ) : (
            !design.putAway && (
              <ButtonLink to={`/batches/new?design=${design.id}`}>
                Plan a batch of {document.usualUnits}
              </ButtonLink>
            )
          )}
        </div>
      </header>
      <div className="space-y-2 not-empty:mb-3">
        {save.problem && !save.problem.isClash && <Notice>{save.problem.message}</Notice>}
        {!save.problem && !!preview.error && <ProblemNotice problem={preview.error} />}
        {[...new Set(ofTheForm.map((finding) => finding.sentence))].map((sentence) => (
          <Notice key={sentence}>{sentence}</Notice>
        ))}
      </div>
      <div className="grid items-start gap-[18px] lg:grid-cols-[1fr_292px]">
        <div className="min-w-0 space-y-3.5">
          <DesignDrawing
            size={shown?.size ?? size}
            onSize={setSize}
            onOpen={(letter) => goTo(`pieces.${letter}`)}
          />
          <PinnedNotes pin={{ ...PIN, about: 'DESIGN', designId: design.id }} />
          <Tabs.Root ref={parts} value={tab} onValueChange={setTab}>
            <Tabs.List aria-label="Parts of the design" className="flex flex-wrap gap-0.5">
              {(
                [
                  ['measurements', 'Measurements'],
                  ['parts', 'Parts'],
                  ['pieces', 'Pieces'],
                  ['form', 'Put together'],
                  ['trims', 'Trims'],
                  ['steps', 'Steps'],
                  ['choices', 'Choices'],
                  ['checks', toLookAt > 0 ? `Checks · ${toLookAt}` : 'Checks'],
                  ['ask', 'Questions'],
                  ['revisions', 'Revisions'],
                  ['about', 'About'],
                ] as const
              ).map(([key, name]) => (
                <Tabs.Trigger
                  key={key}
                  value={key}
                  className="min-h-11 rounded-t border border-b-0 border-transparent px-[7px] font-semibold text-soft data-[state=active]:border-line data-[state=active]:bg-white data-[state=active]:text-ink"
                >
                  {name}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <div className="sheet rounded-tl-none p-3">
              <Tabs.Content value="measurements">
                <MeasurementTable />
              </Tabs.Content>
              <Tabs.Content value="parts">
                <PartsTab />
              </Tabs.Content>
              <Tabs.Content value="pieces">
                <PieceTable opened={piece} onOpen={setPiece} />
              </Tabs.Content>
              <Tabs.Content value="form">
                <FormTab />
              </Tabs.Content>
              <Tabs.Content value="trims">
                <TrimTab />
              </Tabs.Content>
              <Tabs.Content value="steps">
                <StepTable />
              </Tabs.Content>
              <Tabs.Content value="choices">
                <ChoicesTab />
              </Tabs.Content>
              <Tabs.Content value="checks">
                <ChecksTab />
              </Tabs.Content>
              <Tabs.Content value="ask">
                <Suspense fallback={<p className="text-soft">Opening …</p>}>
                  <QuestionsTab />
                </Suspense>
              </Tabs.Content>
              <Tabs.Content value="revisions">
                {draft.isChanged ? (
                  <p className="text-soft">
                    Save what you changed, or undo it all, to see the revisions before.
                  </p>
                ) : (
                  <RevisionsTab designId={design.id} size={shown?.size ?? size} />
                )}
              </Tabs.Content>
              <Tabs.Content value="about">
                <AboutTab />
                <PhotosPart designId={design.id} name={design.document.name} />
                {!draft.isChanged && (
                  <section className="mt-4 border-t border-line pt-3" aria-label="Put away">
                    <PutAwayPart
                      thing={{ name: document.name, version: design.version, putAway: design.putAway }}
                      path={`/api/designs/${design.id}`}
                      list="/designs"
                      hint="Put it away: it isn’t offered for new batches any more. Its batches and what was made of it stay."
                    />
                  </section>
                )}
              </Tabs.Content>
            </div>
          </Tabs.Root>
        </div>
        <Ticket ticket={shown?.ticket} missing={shown?.ticketMissing} stale={preview.isFetching}>
          {shown?.ticketMissing && sheet.canBeSewn && (
            <Button look="quiet" className="w-full" onClick={() => goTo('slots')}>
              To its materials
            </Button>
          )}
        </Ticket>
      </div>
      {rules && (
        <Suspense>
          <RulesPanel onClose={() => setRules(false)} />
        </Suspense>
      )}
      {save.problem?.isClash && (
        <ClashPanel
          sentence={save.problem.message}
          onKeepMine={() => save.mutate({ typed: { version, document }, over: save.problem?.currentVersion })}
          onTakeTheirs={() => {
            giveUp();
            save.reset();
            void client.invalidateQueries();
          }}
          onLater={() => save.reset()}
        />
      )}
    </EditingContext>
  );
}
