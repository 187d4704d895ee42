import { clockText, type Phase } from './clock';
import type { Act } from './keys';
import { isDone, type Part, type Turn } from './progress';
import { BigButton, Key } from './touch';

const SAYS: Record<Phase, string> = {
  setting: 'setting up',
  working: 'this one',
  paused: 'paused',
  idle: 'the clock is stopped',
};

/** The clock of an operation, and what is touched most: start, count, take back, slip, note. */
export function ClockColumn({
  turn,
  part,
  phase,
  running,
  shown,
  canTakeBack,
  keys,
  acts,
  says,
  onSetUpDone,
  onWait,
}: {
  turn: Turn;
  part: Part | undefined;
  phase: Phase;
  running: boolean;
  /** Milliseconds on the clock. */
  shown: number;
  canTakeBack: boolean;
  keys: Record<Act, string>;
  acts: Record<Act, () => void>;
  /** What the last touch came to. */
  says: string;
  onSetUpDone: () => void;
  onWait: () => void;
}) {
  return (
    <div className="flex flex-col gap-3">
      <div className="text-center">
        <div className="text-soft">{SAYS[phase]}</div>
        <div
          role="timer"
          aria-label="Time"
          className={`text-[64px] leading-none font-bold ${running ? '' : 'text-soft'}`}
        >
          {clockText(shown)}
        </div>
        {part && (
          <div className="mt-1 text-soft">
            usually <b className="text-ink">{part.each.text}</b> each
            {turn.bags > 0 ? `, from ${turn.bags} timed` : ', a guess'}
          </div>
        )}
      </div>
      {isDone(turn) ? (
        <p className="text-center text-lg font-bold text-moss">Done for all bags.</p>
      ) : phase === 'setting' && running ? (
        <BigButton onPress={onSetUpDone}>It is on the machine</BigButton>
      ) : (
        <BigButton look={running ? 'quiet' : 'main'} onPress={acts.clock}>
          {running ? 'Pause' : 'Start'} <Key of={keys.clock} />
        </BigButton>
      )}
      <BigButton look={phase === 'working' ? 'main' : 'quiet'} tall disabled={!part} onPress={acts.one}>
        One done <Key of={keys.one} />
      </BigButton>
      <div className="grid gap-3 lg:grid-cols-2">
        <BigButton look="quiet" disabled={!part} onPress={acts.five}>
          Five <Key of={keys.five} />
        </BigButton>
        <BigButton look="quiet" disabled={!canTakeBack} onPress={acts.back}>
          Take back <Key of={keys.back} />
        </BigButton>
      </div>
      <div className="grid gap-3 lg:grid-cols-2">
        <BigButton look="quiet" onPress={acts.slip}>
          Slip <Key of={keys.slip} />
        </BigButton>
        <BigButton look="quiet" onPress={acts.note}>
          Note <Key of={keys.note} />
        </BigButton>
      </div>
      {turn.passive.seconds > 0 && (
        <BigButton look="quiet" onPress={onWait}>
          Leave it to wait {turn.passive.text}
        </BigButton>
      )}
      <p aria-live="polite" className="min-h-6 text-center text-soft">
        {says}
      </p>
    </div>
  );
}
