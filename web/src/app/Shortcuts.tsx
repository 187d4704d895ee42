import { lazy, Suspense, useEffect, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { Panel } from '../ui/Panel';
import { shortcutsAreOn, switchShortcuts, useShortcut } from '../ui/useShortcut';

const Palette = lazy(() => import('./Palette'));

const LIST = [
  ['Ctrl K', 'Go to anything: a design, a batch, a material, a rule'],
  ['N', 'Plan a new batch'],
  ['C', 'Cutting sheet: the next step is cut'],
  ['X', 'Cutting sheet: a piece was spoiled'],
  ['Esc', 'Close what is open'],
  ['?', 'Show this list'],
];

/** The keys that work everywhere, and the list of them. */
export function Shortcuts() {
  const [open, setOpen] = useState(false);
  const [on, setOn] = useState(shortcutsAreOn);
  const navigate = useNavigate();
  useShortcut('?', () => setOpen(true));
  const { pathname } = useLocation();
  // At the machine a slip of the finger leads nowhere.
  useShortcut('n', () => {
    if (!pathname.startsWith('/bench/work/')) void navigate('/batches/new');
  });
  const [finding, setFinding] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setFinding(true);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      {finding && (
        <Suspense>
          <Palette onClose={() => setFinding(false)} />
        </Suspense>
      )}
      <Keys on={on} setOn={setOn} open={open} setOpen={setOpen} />
    </>
  );
}

function Keys({
  on,
  setOn,
  open,
  setOpen,
}: {
  on: boolean;
  setOn: (on: boolean) => void;
  open: boolean;
  setOpen: (open: boolean) => void;
}) {
  return (
    <Panel title="Keys" open={open} onOpenChange={setOpen}>
      <dl className="grid grid-cols-[70px_1fr] gap-y-2">
        {LIST.map(([key, what]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="rounded border border-line-strong px-2 font-semibold">{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-4 flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={on}
          onChange={(event) => {
            switchShortcuts(event.target.checked);
            setOn(event.target.checked);
          }}
        />
        Single keys work (the list itself can always be opened)
      </label>
    </Panel>
  );
}
