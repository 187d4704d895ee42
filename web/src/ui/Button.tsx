import type { AnchorHTMLAttributes, ButtonHTMLAttributes, LabelHTMLAttributes } from 'react';
import { Link, type LinkProps } from 'react-router';

const BASE =
  'inline-flex min-h-11 shrink-0 items-center justify-center gap-2 rounded px-4 font-semibold whitespace-nowrap disabled:opacity-60';
const LOOKS = {
  main: 'bg-woad text-white hover:bg-[#174a6e]',
  quiet: 'border border-line-strong bg-white text-woad hover:bg-woad-tint',
};

type Look = { look?: keyof typeof LOOKS };

export function Button({
  look = 'main',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & Look) {
  return <button type="button" className={`${BASE} ${LOOKS[look]} ${className}`} {...rest} />;
}

export function ButtonLink({ look = 'main', className = '', ...rest }: LinkProps & Look) {
  return <Link className={`${BASE} ${LOOKS[look]} ${className}`} {...rest} />;
}

/** A link that looks like a quiet button and leads to a file to be kept. */
export function FileLink({ className = '', ...rest }: AnchorHTMLAttributes<HTMLAnchorElement>) {
  return <a download className={`${BASE} ${LOOKS.quiet} ${className}`} {...rest} />;
}

/** A quiet button from which a file is chosen. */
export function FileChoice({ className = '', ...rest }: LabelHTMLAttributes<HTMLLabelElement>) {
  return (
    <label
      className={`${BASE} ${LOOKS.quiet} cursor-pointer focus-within:outline-3 focus-within:outline-woad ${className}`}
      {...rest}
    />
  );
}
