import { uuid } from '../../../ui/uuid';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { Notice, ProblemNotice } from '../../../ui/Notice';
import { day } from '../../../ui/units';
import { shortcutsAreOn } from '../../../ui/useShortcut';
import { useTitle } from '../../../ui/useTitle';
import { NoteSlips, usePutAway, type NotePin } from '../../../ui/PinnedNotes';
import { isOf, isRunning } from './clock';
import { Cautions } from './Cautions';
import { ClockColumn } from './ClockColumn';
import { OneFirst } from './OneFirst';
import { ChangeNow, GoesThrough, Parts, Told } from './TurnParts';
import { CountdownBar } from './CountdownBar';
import { useCountdowns } from './countdowns';
import type { Entry, Running } from './kept';
import { benchKeys, keyName, type Act } from './keys';
import { counted, isDone, isSame, left, now, openTurns, type Part, type Turn } from './progress';
import { NotePanel } from './NotePanel';
import { Prompts } from './Prompts';
import { confirmed, nextPrompt, ticksOf, unconfirmed, type Ticked } from './prompts';
import { canReadAloud, useAloud, useReadAloud } from './readAloud';
import { SlipPanel, type Said } from './SlipPanel';
import { BigButton, Key } from './touch';
import { useClock } from './useClock';
import { useWakeLock } from './useWakeLock';
import { useWork } from './useWork';
import { WorkList, type WorkSlip } from './WorkList';

/** The screen beside the machine: one operation, large, with its clock and its count. */
export default function WorkPage() {
  const { id } = useParams();
  const batchId = Number(id);
  return Number.isInteger(batchId) ? (
    <Work key={batchId} batchId={batchId} />
  ) : (
    <p>There is no such batch.</p>
  );
}

const SLOW = 'mardun.slow-today';

/** The bag that comes next of a part: ticks are for it. */
const bagOf = (part: Part) => `${part.line} ${part.step} ${part.done}`;

function Work({ batchId }: { batchId: number }) {
  const { view, unsent, problem, refused, tell, writing, ask } = useWork(batchId);
  const { clock, shown, read, start: run, tellAll, stop } = useClock(batchId);
  const [chosen, setChosen] = useState<Turn>();
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const [line, setLine] = useState<number | undefined>(() => Number(params.get('line')) || undefined);
  /** The operation whose set-up was said to be on the machine. */
  const [putOn, setPutOn] = useState<string>();
  const [listed, setListed] = useState(false);
  const [says, setSays] = useState('');
  const [slow, setSlow] = useState(() => sessionStorage.getItem(SLOW) === 'yes');
  const [keys, setKeys] = useState(benchKeys);
  const [ticked, setTicked] = useState<Ticked>({ of: '', places: [] });
  /** The same at once: of two quick touches the second must find nothing ticked for its bag. */
  const tickedNow = useRef(ticked);
  const [gateRefused, setGateRefused] = useState('');
  const [slipping, setSlipping] = useState(false);
  const [noting, setNoting] = useState(false);
  const countdowns = useCountdowns();
  const putAway = usePutAway(ask);
  const [aloud, setAloud] = useAloud();
  useTitle(view ? `${view.name} at the bench` : 'At the bench');
  useWakeLock(isRunning(clock));

  const open = view ? openTurns(view, unsent) : [];
  // A card or a ticket opens the batch at its place.
  const step = params.get('step');
  const asked = open.find((one) =>
    one.parts.some(
      (its) => (step === null || its.step === step) && (line === undefined || its.line === line),
    ),
  );
  const picked = chosen ?? asked ?? open[0];
  const turn = picked && view && now(picked, view, unsent);
  const part =
    turn &&
    (turn.parts.find((one) => one.line === line && left(one) > 0) ?? turn.parts.find((one) => left(one) > 0));
  const place = turn ? open.findIndex((one) => isSame(one, turn)) : -1;
  const after = turn && isDone(turn) ? open[0] : open[place + 1];

  useReadAloud(
    aloud,
    turn,
    part && part.prompts[nextPrompt(part.prompts, ticksOf(ticked, bagOf(part))) ?? -1],
  );
  /** What ticks are for: they begin anew with the next bag. */
  const bag = part ? bagOf(part) : '';
  const ticks = ticksOf(ticked, bag);
  const changeTicks = (next: Ticked) => {
    tickedNow.current = next;
    setTicked(next);
  };
  const tick = (at: number) =>
    changeTicks({ of: bag, places: ticks.includes(at) ? ticks.filter((one) => one !== at) : [...ticks, at] });

  const runsHere = !!turn && turn.parts.some((one) => isOf(clock, one));

  const at = (of: Turn, its: Part): Running => ({
    line: its.line,
    step: its.step,
    stepName: of.name,
    place: of.place,
  });
  const entry = (of: Running, what: Partial<Entry>): Entry => ({
    id: uuid(),
    batchId,
    ...of,
    kind: 'WORKED',
    bags: 0,
    millis: 0,
    slow,
    at: new Date().toISOString(),
    reason: '',
    ...what,
  });

  /** Tells the time that runs, and lets the clock stand. */
  const pause = async () => {
    const of = turn && part && runsHere ? at(turn, part) : clock.of;
    const millis = read();
    stop();
    if (of && millis > 0) {
      await tell(entry(of, { kind: clock.phase === 'setting' ? 'SET_UP' : 'WORKED', millis }));
    }
  };

  const start = async () => {
    if (!turn || !part) return;
    setChosen(turn);
    if (isRunning(clock)) await pause();
    const setting = turn.changes.length > 0 && putOn !== turn.key;
    run(at(turn, part), setting ? 'setting' : 'working');
  };

  /** What is on the machine is on it now; from here on it is work. */
  const setUpDone = async () => {
    const its = turn?.parts[0];
    if (!turn || !its) return;
    const millis = clock.phase === 'setting' ? read() : 0;
    tellAll();
    setPutOn(turn.key);
    await tell(entry(at(turn, its), { kind: 'SET_UP', millis, puts: turn.setUp }));
  };

  const count = async (bags: number) => {
    if (!turn) return;
    const its = bags > 0 ? part : lastCounted(turn, line);
    const room = its ? left(its) - counted(its, writing()) : 0;
    if (!its || (bags > 0 ? room <= 0 : room >= its.started)) {
      setSays(
        bags > 0 ? `${turn.name} is done for all bags.` : 'Nothing is counted here that could be taken back.',
      );
      return;
    }
    const missing = bags > 0 ? unconfirmed(its.prompts, ticksOf(tickedNow.current, bag)) : [];
    if (missing.length > 0) {
      setGateRefused(bag);
      setSays(`Confirm first: ${missing.map((one) => one.text).join('; ')}.`);
      return;
    }
    if (bags > 0) changeTicks({ of: '', places: [] });
    // What was counted stays in sight, also when it is done: nothing moves under the finger.
    setChosen(turn);
    if (clock.phase === 'setting' && runsHere) await setUpDone();
    const some = bags > 0 ? Math.min(bags, room) : bags;
    const millis = some > 0 && runsHere && isRunning(clock) && clock.phase === 'working' ? read() : 0;
    if (millis > 0) tellAll();
    await tell(
      entry(at(turn, its), {
        bags: some,
        millis,
        ...(some > 0 && { confirmed: confirmed(its.prompts) }),
      }),
    );
    const done = its.started - room + some;
    setSays(some > 0 ? `${done} of ${its.started}.` : `Taken back: ${done} of ${its.started}.`);
    if (
      some > 0 &&
      turn.parts.every((one) => (one === its ? done >= one.started : left(one) <= 0)) &&
      isRunning(clock)
    ) {
      stop();
    }
  };

  /** What went wrong is of the part that is counted on, or of the one that was. */
  const slipOf = turn && (part ?? lastCounted(turn, line) ?? turn.parts[0]);
  const slip = async (said: Said) => {
    const its = slipOf;
    if (!turn || !its) return;
    setSlipping(false);
    setChosen(turn);
    const of = at(turn, its);
    if (said.wasCounted) await tell(entry(of, { bags: -said.bags }));
    await tell(
      entry(of, {
        kind: 'SLIPPED',
        bags: said.bags,
        millis: said.mending,
        reason: said.reason,
        slip: { outcome: said.outcome, usedUp: said.usedUp, ...(said.again && { again: said.again }) },
      }),
    );
    setSays(
      said.again
        ? 'Logged. From what to cut is in the list, under what went wrong.'
        : said.outcome === 'SCRAP'
          ? `Scrapped: ${said.bags}. ${said.bags === 1 ? 'One comes out fewer' : `${said.bags} come out fewer`}.`
          : 'Logged.',
    );
  };

  const note = async (text: string, pin: NotePin) => {
    if (!turn || !slipOf) return;
    setNoting(false);
    await tell(entry(at(turn, slipOf), { kind: 'NOTED', reason: text, pin }));
    setSays('Noted. It comes back.');
  };

  const withdraw = (of: WorkSlip) =>
    void tell(
      entry(
        { line: of.line, step: of.step, stepName: of.stepName, place: '' },
        { kind: 'WITHDRAWN', ofEvent: of.id },
      ),
    );

  const go = async (to: Turn | undefined) => {
    if (!to) return;
    if (isRunning(clock)) await pause();
    setChosen(to);
    setLine(undefined);
    setListed(false);
    setSays('');
  };

  /** Nothing is left to do here but to say how the bags came out. */
  const isAllDone = !!turn && !after && open.length === 0 && isDone(turn);

  const acts: Record<Act, () => void> = {
    clock: () => void (isRunning(clock) && runsHere ? pause() : start()),
    one: () => void count(1),
    five: () => void count(5),
    back: () => void count(-1),
    check: () => {
      const place = part && nextPrompt(part.prompts, ticks);
      if (place !== undefined) tick(place);
    },
    slip: () => setSlipping(!!turn),
    note: () => setNoting(!!turn),
    next: () => void (isAllDone ? navigate(`/batches/${view?.batchId}`) : go(after)),
    previous: () => void go(open[(place < 0 ? open.length : place) - 1]),
    list: () => setListed(!listed),
  };
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || !shortcutsAreOn()) return;
    const focused = event.target as HTMLElement;
    if (focused.closest('input, select, textarea, [role="dialog"], [contenteditable], a, button')) return;
    const act = (Object.keys(keys) as Act[]).find((one) => keys[one] === keyName(event));
    if (!act) return;
    event.preventDefault();
    acts[act]();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);

  if (!view) {
    return problem ? <ProblemNotice problem={problem} /> : <p className="text-soft">Opening the bench …</p>;
  }
  const mine = runsHere ? clock.phase : 'idle';
  return (
    <div className="flex min-h-full flex-col">
      <header className="flex flex-wrap items-baseline justify-between gap-x-4 gap-y-1">
        <div>
          <h1 className="text-xl">{view.name}</h1>
          <span className="text-soft">
            {[view.forWhat && `for ${view.forWhat}`, view.dueOn && day(view.dueOn), `${view.left.text} left`]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </div>
        <div className="flex items-center gap-3">
          <label className="flex min-h-14 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={slow}
              onChange={(event) => {
                setSlow(event.target.checked);
                sessionStorage.setItem(SLOW, event.target.checked ? 'yes' : 'no');
              }}
            />
            I am slow today
          </label>
          {canReadAloud() && (
            <label className="flex min-h-14 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={aloud}
                onChange={(event) => setAloud(event.target.checked)}
              />
              Read aloud
            </label>
          )}
          <Cautions view={view} />
          <BigButton look="quiet" onPress={acts.list}>
            List <Key of={keys.list} />
          </BigButton>
          <Link
            to={`/batches/${batchId}`}
            className="inline-flex min-h-14 items-center px-2 font-semibold text-woad hover:underline"
          >
            The batch
          </Link>
        </div>
      </header>
      <div className="mt-2 space-y-2 empty:hidden">
        {problem && (
          <Notice look="care">
            {problem.isAway ? 'Mardun doesn’t answer.' : problem.message} What you touch is kept in this
            browser
            {unsent.length > 0 && ` (${unsent.length} so far)`} and sent once when it is back.
          </Notice>
        )}
        {refused.map((reason, i) => (
          <Notice key={i} look="care">
            A touch couldn’t be kept: {reason}
          </Notice>
        ))}
      </div>
      <CountdownBar countdowns={countdowns} />
      {view.oneFirst && <OneFirst view={view} onDone={ask} />}
      {!view.turns.some((one) => one.parts.some((its) => its.done > 0)) && (
        <div className="mt-2 empty:hidden">
          <NoteSlips notes={view.notes} onPutAway={(one) => putAway.mutate(one)} />
        </div>
      )}
      {listed ? (
        <WorkList
          view={view}
          unsent={unsent}
          onWithdraw={withdraw}
          onPutAway={(one) => putAway.mutate(one)}
          turns={open}
          at={turn}
          keys={keys}
          onKeys={setKeys}
          onGo={(to) => void go(to)}
          onClose={() => setListed(false)}
        />
      ) : turn ? (
        <section
          aria-label="What is done now"
          className="sheet relative isolate mt-2 grid flex-1 content-start gap-x-6 gap-y-4 px-6 py-5 after:pointer-events-none after:absolute after:inset-[5px] after:rounded after:border-2 after:border-dashed after:border-woad-mid md:grid-cols-[1fr_240px] lg:grid-cols-[1fr_330px]"
        >
          <div className="min-w-0">
            <p className="text-lg text-soft">at {turn.at}</p>
            <h2 className="text-[32px] leading-tight lg:text-[40px]">{turn.name}</h2>
            {turn.changes.length > 0 && <ChangeNow changes={turn.changes} done={putOn === turn.key} />}
            <Parts turn={turn} part={part} onChoose={setLine} />
            {part && (
              <Prompts
                prompts={part.prompts}
                ticks={ticks}
                refused={gateRefused === bag}
                checkKey={keys.check}
                onTick={tick}
                onWait={(prompt) => countdowns.start(prompt.text, prompt.seconds, prompt.times)}
              />
            )}
            <div className="mt-4 empty:hidden">
              <NoteSlips large notes={turn.notes} onPutAway={(one) => putAway.mutate(one)} />
            </div>
            <GoesThrough turn={turn} photo={(part ?? turn.parts[0])?.photo} />
            <Told turn={turn} />
          </div>
          <ClockColumn
            turn={turn}
            part={part}
            phase={mine}
            running={isRunning(clock) && runsHere}
            shown={runsHere ? shown : 0}
            canTakeBack={!!lastCounted(turn, line)}
            keys={keys}
            acts={acts}
            says={says}
            onSetUpDone={() => void setUpDone()}
            onWait={() => countdowns.start(`After ${turn.name}`, turn.passive.seconds, 1)}
          />
        </section>
      ) : (
        <Notice look="ok">
          {view.open
            ? 'Everything is done at the bench. Say on the batch’s page how the bags came out.'
            : 'This batch is finished.'}
        </Notice>
      )}
      {noting && turn && slipOf && (
        <NotePanel
          view={view}
          turn={turn}
          part={slipOf}
          onNote={(text, pin) => void note(text, pin)}
          onPhoto={ask}
          onClose={() => setNoting(false)}
        />
      )}
      {slipping && turn && slipOf && (
        <SlipPanel
          batchId={view.batchId}
          turn={turn}
          part={slipOf}
          reasons={view.reasons}
          onSay={(said) => void slip(said)}
          onClose={() => setSlipping(false)}
        />
      )}
      {!listed && turn && (
        <footer className="sticky bottom-0 z-10 mt-1 flex items-center bg-ground py-2 justify-between gap-4 text-lg">
          <div className="min-w-0">
            {after ? (
              <>
                <span className="text-soft">then</span> <b>{after.name}</b>
                <span className="text-soft"> at {after.at}</span>
              </>
            ) : (
              <span className="text-soft">{isAllDone ? 'that was the last' : 'nothing comes after it'}</span>
            )}
          </div>
          <div className="flex gap-3">
            <BigButton look="quiet" disabled={place === 0 || open.length === 0} onPress={acts.previous}>
              <Key of={keys.previous} /> Before
            </BigButton>
            {isAllDone ? (
              <BigButton look="main" onPress={acts.next}>
                How they came out <Key of={keys.next} />
              </BigButton>
            ) : (
              <BigButton look={isDone(turn) ? 'main' : 'quiet'} disabled={!after} onPress={acts.next}>
                Next <Key of={keys.next} />
              </BigButton>
            )}
          </div>
        </footer>
      )}
    </div>
  );
}

/** The part of which a count can be taken back: the one that is counted on, or the last that has any. */
const lastCounted = (turn: Turn, line: number | undefined) =>
  turn.parts.find((one) => one.line === line && one.done > 0) ??
  [...turn.parts].reverse().find((one) => one.done > 0);
