import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';

type Working = Schemas['WorkingView'];

/** A figure that opens to show how it came about. */
export function WorkedFigure({
  children,
  working,
  label,
  className = '',
}: {
  children: ReactNode;
  working: Working;
  /** What the figure is, for those who can't see where it stands. */
  label: string;
  className?: string;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`figure ${className}`}
        aria-label={`${label}: ${working.result}, how it came about`}
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          collisionPadding={12}
          sideOffset={6}
          aria-label={`How ${label} came about`}
          className="sheet z-50 max-h-(--radix-popover-content-available-height) w-[430px] max-w-[94vw] overflow-y-auto p-4 shadow-xl"
        >
          <div className="mb-1 text-[13px] font-semibold text-soft">{label}</div>
          <WorkingSteps working={working} />
          <Popover.Arrow className="fill-white stroke-line" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A working as one would write it with a pencil: the rule, the values, the sum, the rounding. */
export function WorkingSteps({ working }: { working: Working }) {
  const plain = working.calculation === working.expression;
  return (
    <div className="text-[14px]">
      <p>{working.rule}</p>
      {working.expression && (
        <div className="mt-2 rounded bg-ground px-3 py-2">
          {!plain && <div className="text-soft">{working.expression}</div>}
          <div>
            {!plain && '= '}
            {working.calculation}
          </div>
          <div>
            = <b className="text-[16px]">{working.result}</b>
            {working.rounding && <span className="text-soft">, {working.rounding}</span>}
          </div>
        </div>
      )}
      {working.schools.length > 0 && (
        <table className="mt-3 w-full">
          <caption className="pb-1 text-left text-[13px] font-semibold text-soft">
            Other ways would give
          </caption>
          <tbody>
            {working.schools.map((school) => (
              <tr key={school.name} className={school.chosen ? 'font-bold' : ''}>
                <td className="py-0.5">
                  {school.name}
                  {school.chosen && <span className="font-normal text-moss"> · yours</span>}
                </td>
                <td className="text-right">{school.result}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {working.inputs.length > 0 && (
        <ul className="mt-3 space-y-1">
          {working.inputs.map((input) => (
            <li key={input.symbol}>
              {input.working ? (
                <details>
                  <summary className="cursor-pointer">
                    {input.label} <b>{input.value}</b>
                  </summary>
                  <div className="mt-1 mb-2 border-l-2 border-dashed border-woad-mid pl-3">
                    <WorkingSteps working={input.working} />
                  </div>
                </details>
              ) : (
                <span className="pl-4">
                  {input.label} <b>{input.value}</b>
                </span>
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
