import type { Schemas } from '../api/client';

/** A label as it will be printed, in its own proportions. */
export function LabelDrawing({ label, className = '' }: { label: Schemas['LabelView']; className?: string }) {
  const words = label.texts.map((text) => text.text).join(', ');
  return (
    <svg
      viewBox={`0 0 ${label.width} ${label.height}`}
      role="img"
      aria-label={`Label: ${words}`}
      className={`bg-white ${className}`}
    >
      <rect
        x="0.15"
        y="0.15"
        width={label.width - 0.3}
        height={label.height - 0.3}
        rx="1.2"
        fill="none"
        stroke="var(--color-line-strong)"
        strokeWidth="0.3"
        strokeDasharray="1 0.8"
      />
      {label.texts.map((text, i) => (
        <text
          key={i}
          x={text.left}
          y={text.baseline}
          fontSize={text.size}
          fontWeight={text.bold ? 700 : 400}
          fill="var(--color-ink)"
        >
          {text.text}
        </text>
      ))}
      {label.code && (
        <svg
          x={label.code.left}
          y={label.code.top}
          width={label.code.width}
          height={label.code.height}
          viewBox={`0 0 ${label.code.wide} ${label.code.high}`}
          preserveAspectRatio="none"
        >
          <path d={label.code.path} fill="#000" shapeRendering="crispEdges" />
        </svg>
      )}
    </svg>
  );
}
