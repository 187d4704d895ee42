const STAGES = ['Plan', 'Cut', 'Sew', 'Finish'];

export type BatchStage = 'PLANNED' | 'CUTTING' | 'CUT' | 'FINISHED' | 'DROPPED';

const AT: Record<BatchStage, number> = {
  PLANNED: 1,
  CUTTING: 1,
  CUT: 2,
  FINISHED: STAGES.length,
  DROPPED: 2,
};

/** The stage that a batch is in: what is stitched is done, the button is what comes next. */
export function RunningStitch({
  stage,
  width,
  small,
}: {
  stage?: BatchStage;
  width: number;
  small?: boolean;
}) {
  const at = stage ? AT[stage] : 0;
  const step = (width - 24) / (STAGES.length - 1);
  const dropped = stage === 'DROPPED';
  const says = dropped
    ? 'cut, and dropped'
    : at === STAGES.length
      ? 'all stages done'
      : `${STAGES[at]} comes next`;
  return (
    <svg
      viewBox={`0 0 ${width} ${small ? 26 : 46}`}
      className="block h-auto w-full"
      style={{ maxWidth: width }}
      role="img"
      aria-label={`Stages ${STAGES.join(', ')}: ${says}`}
    >
      {STAGES.slice(1).map((name, i) => (
        <line
          key={name}
          x1={26 + i * step}
          x2={i * step + step - 2}
          y1="13"
          y2="13"
          stroke={i < at ? '#2c6744' : '#9fb0b0'}
          strokeWidth={i < at ? 4 : 2}
          strokeDasharray={i < at ? '11 6' : '2 6'}
          strokeLinecap="round"
        />
      ))}
      {STAGES.map((name, i) => {
        const done = i < at;
        const now = i === at && !dropped;
        return (
          <g key={name} transform={`translate(${12 + i * step},13)`}>
            <circle
              r={now ? 9 : 7}
              fill={done ? '#2c6744' : now ? '#1d5a85' : '#fff'}
              stroke={done ? '#2c6744' : now ? '#1d5a85' : '#7f9292'}
              strokeWidth="2"
            />
            {done && <path d="M-3.5 0l2.5 3 4.5-5.5" stroke="#fff" strokeWidth="2" fill="none" />}
            {now && <path d="M-2.6 0h.1M2.6 0h.1" stroke="#fff" strokeWidth="3.2" strokeLinecap="round" />}
            {!small && (
              <text
                y="29"
                fontSize="13.5"
                textAnchor={i === 0 ? 'start' : i === STAGES.length - 1 ? 'end' : 'middle'}
                dx={i === 0 ? -9 : i === STAGES.length - 1 ? 9 : 0}
                fontWeight={now ? 700 : 400}
                fill={now ? '#14242d' : '#48595f'}
              >
                {name}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
