import type { ReactNode } from 'react';

const LOOKS = {
  ok: 'bg-moss-tint text-moss',
  care: 'bg-weld-tint text-weld',
  bad: 'bg-madder-tint text-madder',
  plain: 'bg-woad-tint text-woad',
};

/** A state in a word; its colour only repeats it. */
export function Tag({ look, children }: { look: keyof typeof LOOKS; children: ReactNode }) {
  return (
    <span className={`inline-block rounded px-[7px] py-px text-[13px] font-semibold ${LOOKS[look]}`}>
      {children}
    </span>
  );
}
