/** The step in which a point is moved, in millimetres: a sixteenth of an inch, or a millimetre. */
export const stepOf = (isInch: boolean) => (isInch ? 25.4 / 16 : 1);

/** A place in whole steps as a maker types it: 5 3/16 in, or 132 mm. */
export function typedSteps(steps: number, isInch: boolean) {
  if (!isInch) return `${steps} mm`;
  const sign = steps < 0 ? '-' : '';
  const whole = Math.floor(Math.abs(steps) / 16);
  let part = Math.abs(steps) % 16;
  let of = 16;
  while (part > 0 && part % 2 === 0) {
    part /= 2;
    of /= 2;
  }
  const words = [whole > 0 || part === 0 ? String(whole) : '', part > 0 ? `${part}/${of}` : ''];
  return `${sign}${words.filter(Boolean).join(' ')} in`;
}

/** The step that is nearest to a distance in millimetres, as a maker types it. */
export const typedNear = (millimetres: number, isInch: boolean) =>
  typedSteps(Math.round(millimetres / stepOf(isInch)), isInch);
