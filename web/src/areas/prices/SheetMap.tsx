import type { Schemas } from '../../api/client';

/**
 * A sheet of labels: those that are gone, those that will be printed, and those that stay. One begins at the label that one touches, or
 * goes from label to label with the arrow keys.
 */
export function SheetMap({
  sheet,
  first,
  units,
  onFirst,
}: {
  sheet: Schemas['SheetView'];
  first: number;
  units: number;
  onFirst: (first: number) => void;
}) {
  const many = sheet.across * sheet.down;
  const to = Math.min(many, first - 1 + units);
  const move = (by: number) => onFirst(Math.max(1, Math.min(many, first + by)));
  return (
    <svg
      viewBox={`0 0 ${sheet.pageWidth} ${sheet.pageHeight}`}
      className="h-[150px] w-auto cursor-pointer rounded-sm border border-line-strong bg-white"
      role="slider"
      tabIndex={0}
      aria-label="Begin at label"
      aria-valuemin={1}
      aria-valuemax={many}
      aria-valuenow={first}
      aria-valuetext={`label ${first} of ${many}`}
      onKeyDown={(event) => {
        const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: sheet.across, ArrowUp: -sheet.across }[
          event.key
        ];
        if (by === undefined) return;
        event.preventDefault();
        move(by);
      }}
    >
      {Array.from({ length: many }, (_, i) => {
        const isGone = i + 1 < first;
        const isPrinted = i + 1 >= first && i + 1 <= to;
        return (
          <g key={i} onClick={() => onFirst(i + 1)}>
            <rect
              x={sheet.left + (i % sheet.across) * sheet.stepAcross + 0.6}
              y={sheet.top + Math.floor(i / sheet.across) * sheet.stepDown + 0.6}
              width={sheet.labelWidth - 1.2}
              height={sheet.labelHeight - 1.2}
              rx="2"
              fill={
                isPrinted ? 'var(--color-woad)' : isGone ? 'var(--color-line-faint)' : 'var(--color-sheet)'
              }
              stroke="var(--color-line-strong)"
              strokeWidth="0.8"
              strokeDasharray={isGone ? '3 3' : undefined}
            />
          </g>
        );
      })}
    </svg>
  );
}
