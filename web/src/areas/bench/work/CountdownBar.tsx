import { clockText } from './clock';
import { remaining, type useCountdowns } from './countdowns';
import { BigButton } from './touch';

/** What is held or waits just now, side by side. */
export function CountdownBar({ countdowns }: { countdowns: ReturnType<typeof useCountdowns> }) {
  const { all, now, again, stop } = countdowns;
  return (
    <ul className="mt-2 flex flex-wrap gap-3 empty:hidden" aria-label="What waits">
      {all.map((one) => {
        const left = remaining(one, now);
        const over = left === 0;
        const more = one.round < one.times;
        return (
          <li
            key={one.id}
            className={`sheet flex items-center gap-3 px-4 py-1.5 ${over ? '!border-weld bg-weld-tint' : ''}`}
          >
            <span>
              <span className="block text-[13px] text-soft">
                {one.what}
                {one.times > 1 && `, ${one.round} of ${one.times}`}
              </span>
              <span role="timer" aria-label={one.what} className="text-[28px] leading-none font-bold">
                {over ? 'over' : clockText(Math.ceil(left / 1000) * 1000)}
              </span>
            </span>
            {over && more ? (
              <BigButton onPress={() => again(one.id)}>Next</BigButton>
            ) : (
              <BigButton look="quiet" onPress={() => stop(one.id)}>
                {over ? 'Done' : 'Stop'}
              </BigButton>
            )}
          </li>
        );
      })}
    </ul>
  );
}
