import type { ComponentProps } from 'react';
import { Button } from '../../../ui/Button';
import { keyWords } from './keys';

/** For a thumb, or an elbow; it doesn't keep the focus when it was touched, so that keys go on working. */
export function BigButton({
  tall,
  onPress,
  ...rest
}: Omit<ComponentProps<typeof Button>, 'className' | 'onClick'> & { tall?: boolean; onPress: () => void }) {
  return (
    <Button
      className={`!px-5 ${tall ? '!min-h-24 text-2xl' : '!min-h-14 text-lg'}`}
      onClick={(event) => {
        if (event.detail > 0) event.currentTarget.blur();
        onPress();
      }}
      {...rest}
    />
  );
}

/** The key that does the same. */
export function Key({ of }: { of: string }) {
  return (
    <kbd className="rounded border border-current px-1.5 text-xs opacity-80" aria-hidden>
      {keyWords(of)}
    </kbd>
  );
}
