import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** A form that begins empty begins in its first field, so that one can type at once. */
function beginInEmptyField(event: Event) {
  const content = event.currentTarget;
  const first =
    content instanceof HTMLElement
      ? content.querySelector<HTMLInputElement>('input:not([type="hidden"]), select, textarea')
      : null;
  const isText = first?.matches('input:not([type]), input[type="text"], input[type="search"], textarea');
  if (first && isText && first.value === '') {
    event.preventDefault();
    first.focus();
  }
}

/** A panel over the page: a form or a question. Escape and the button close it. */
export function Panel({
  title,
  open,
  onOpenChange,
  wide,
  children,
}: {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={beginInEmptyField}
          className={`sheet fixed z-40 top-[6vh] left-1/2 max-h-[88vh] -translate-x-1/2 overflow-y-auto p-5 shadow-xl ${
            wide ? 'w-[min(960px,96vw)]' : 'w-[min(560px,94vw)]'
          }`}
        >
          <div className="mb-4 flex items-start justify-between gap-4">
            <Dialog.Title className="text-xl font-bold">{title}</Dialog.Title>
            <Dialog.Close className="min-h-11 px-3 font-semibold text-woad">Close</Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
