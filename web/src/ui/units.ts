import type { Schemas } from '../api/client';
import { useSettings } from '../api/queries';

type LengthView = Schemas['LengthView'];

/** The maker's own units first, the other ones beside them. */
export function useUnits() {
  const { data } = useSettings();
  const inch = data?.unitSystem === 'INCH';
  return {
    isInch: inch,
    small: inch ? 'in' : 'cm',
    /** The length with which a new piece or trim begins. */
    begun: inch ? '4 in' : '10 cm',
    tuck: inch ? '1/2 in' : '1 cm',
    cloth: inch ? 'yd' : 'm',
    currency: data?.currency ?? '',
    own: (length: LengthView) => (inch ? length.inch : length.metric),
    other: (length: LengthView) => (inch ? length.metric : length.inch),
    amount: (amount: Schemas['AmountView']) =>
      amount.length ? (inch ? amount.length.inch : amount.length.metric) : amount.text,
  };
}

const UNIT = / (in|cm|mm)$/;

/** A width without its unit, if the height behind it has the same. */
export function withoutUnit(width: string, height: string) {
  const unit = UNIT.exec(width)?.[1];
  return unit && unit === UNIT.exec(height)?.[1] ? width.replace(UNIT, '') : width;
}

/** Two lengths as width × height, with the unit said once where both have the same. */
export const sides = (width: string, height: string) => `${withoutUnit(width, height)} × ${height}`;

const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const LONG_DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' });

const FULL_DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

const localDay = (iso: string) => new Date(`${iso}T12:00:00`);
export const day = (iso: string) => DAY.format(localDay(iso)).replace(',', '');
/** A day with its year, of a date or a moment. */
export const fullDay = (iso: string) => FULL_DAY.format(localDay(iso.slice(0, 10)));
export const longDay = (iso: string) => LONG_DAY.format(localDay(iso));
export const weekday = (iso: string) => localDay(iso).toLocaleDateString('en-GB', { weekday: 'short' });
export const dayOfMonth = (iso: string) => localDay(iso).getDate();
export const isWeekend = (iso: string) => [0, 6].includes(localDay(iso).getDay());
export const daysBetween = (from: string, to: string) =>
  Math.round((localDay(to).getTime() - localDay(from).getTime()) / 86_400_000);

/** An amount as it is said after “lost” or “less”: without its sign. */
export const unsigned = (amount: string) => amount.replace(/^[-−]/, '');
