/** From a figure to a place and back, in a straight line. */
export function scale(from: number, to: number, begin: number, end: number) {
  const span = to - from || 1;
  return {
    at: (value: number) => begin + ((value - from) / span) * (end - begin),
    back: (place: number) => from + ((place - begin) / (end - begin)) * span,
  };
}

/** Round figures to write beside an axis, no more than a few. */
export function ticks(from: number, to: number, most: number): number[] {
  const rough = (to - from) / most || 1;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((times) => times * power).find((one) => one >= rough) ?? rough;
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.floor((to - first) / step) + 1 }, (_, i) => first + i * step);
}
