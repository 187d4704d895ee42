import type { Schemas } from '../../api/client';
import { SelectField } from '../../ui/Field';

type Seen = Pick<Schemas['FairForm'], 'footfall' | 'weather'>;

const FOOTFALL: Record<NonNullable<Seen['footfall']>, string> = {
  SMALL: 'few people',
  MEDIUM: 'a fair number',
  LARGE: 'crowds',
};
const WEATHER: Record<NonNullable<Seen['weather']>, string> = {
  DRY: 'dry',
  MIXED: 'now and then rain',
  WET: 'wet',
};

/** How many walk through a fair, and what its weather was: what will sell at the next one is judged by it. */
export function DaySeen({
  seen,
  weather,
  onChange,
}: {
  seen: Seen;
  /** Whether the weather is asked for: not before the day. */
  weather: boolean;
  onChange: (changed: Seen) => void;
}) {
  return (
    <>
      <SelectField
        label="Walk through it"
        value={seen.footfall ?? ''}
        onChange={(event) => onChange({ footfall: (event.target.value || undefined) as Seen['footfall'] })}
      >
        <option value="">not known</option>
        {Object.entries(FOOTFALL).map(([footfall, words]) => (
          <option key={footfall} value={footfall}>
            {words}
          </option>
        ))}
      </SelectField>
      {weather && (
        <SelectField
          label="The weather was"
          value={seen.weather ?? ''}
          onChange={(event) => onChange({ weather: (event.target.value || undefined) as Seen['weather'] })}
        >
          <option value="">not known</option>
          {Object.entries(WEATHER).map(([weather, words]) => (
            <option key={weather} value={weather}>
              {words}
            </option>
          ))}
        </SelectField>
      )}
    </>
  );
}
