import { useId } from 'react';
import type { Schemas } from '../api/client';
import { useUnits } from './units';
import { WorkedFigure } from './WorkedFigure';

type Picture = Schemas['PictureView'];
type Cloth = Schemas['PictureCloth'];

const INK = '#14242d';
const PALE = '#f1f4f4';
const PALE_INK = '#9aa8ae';

/** What a slot looks like that nothing was chosen for, by what it is usually called. */
const UNCHOSEN: Record<string, string> = {
  outer: '#c6d6dc',
  lining: '#efe3cf',
  accent: '#d9b9a6',
  strap: '#a89a86',
  webbing: '#a89a86',
  zip: '#5d6d74',
  cord: '#8f7d6a',
  ribbon: '#b0627a',
};

/** How far the marks of a print are apart where nobody said after how much it comes again, in millimetres. */
const APART = { PLAIN: 20, DOTS: 14, STRIPES: 14, CHECKS: 22, FLORAL: 34, TEXTURE: 8 } as const;

/** A finished bag, in its cloths, as large as the room for it allows; to one scale where that is given. */
export function BagPicture({
  picture,
  across,
  up,
  scale,
  lit,
  label,
}: {
  picture: Picture;
  /** The room for it, in pixels. */
  across: number;
  up: number;
  /** Pixels for a millimetre, where several pictures shall have the same. */
  scale?: number;
  /** The part that is shown in its colours, all others pale. */
  lit?: Schemas['BagPartView']['part'];
  /** What is said of it to who can't see it; without one it only adorns. */
  label?: string;
}) {
  const id = useId();
  const fits = Math.min(across / picture.width, up / picture.height);
  const zoom = Math.min(scale ?? fits, fits);
  const thin = 1 / zoom;
  const cloths = new Map(picture.cloths.map((cloth) => [cloth.slot, cloth]));
  return (
    <svg
      width={picture.width * zoom}
      height={picture.height * zoom}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      className="mx-auto block max-w-full"
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {picture.parts.map((part, index) => {
        const pale = lit !== undefined && part.of !== lit;
        const cloth = pale ? undefined : cloths.get(part.slot);
        if (pale && part.look !== 'EDGE') return <PalePart key={index} part={part} thin={thin} />;
        const colour = cloth?.colour ?? UNCHOSEN[part.slot] ?? '#d3dcde';
        switch (part.look) {
          case 'CLOTH':
          case 'INSIDE':
            return (
              <g key={index}>
                <Print id={`${id}-${index}`} colour={colour} cloth={cloth} frame={part.frame} zoom={zoom} />
                <path d={part.path} fill={`url(#${id}-${index})`} />
                {part.shade > 0 && <path d={part.path} fill={INK} fillOpacity={part.shade} />}
              </g>
            );
          case 'STRIP':
            return (
              <g key={index} fill="none" strokeLinejoin="round">
                <path d={part.path} stroke={INK} strokeWidth={part.stroke + 2 * thin} />
                <path d={part.path} stroke={colour} strokeWidth={part.stroke} />
              </g>
            );
          case 'STITCHES':
            return (
              <path
                key={index}
                d={part.path}
                fill="none"
                stroke={INK}
                strokeOpacity=".75"
                strokeWidth={0.8 * thin}
                strokeDasharray={`${4 * thin} ${2.5 * thin}`}
              />
            );
          case 'TEETH':
            return (
              <path
                key={index}
                d={part.path}
                fill="none"
                stroke="#f4f6f5"
                strokeWidth={2.2 * thin}
                strokeDasharray={`${1.4 * thin} ${1.4 * thin}`}
              />
            );
          case 'METAL':
            return <path key={index} d={part.path} fill="#d5dbdd" stroke={INK} strokeWidth={0.8 * thin} />;
          case 'LABEL':
            return <path key={index} d={part.path} fill="#fbf8ef" stroke={INK} strokeWidth={0.8 * thin} />;
          case 'EDGE':
            return (
              <path
                key={index}
                d={part.path}
                fill="none"
                stroke={pale ? PALE_INK : INK}
                strokeWidth={1.2 * thin}
                strokeLinejoin="round"
              />
            );
        }
      })}
    </svg>
  );
}

/** A part that only shows where another one is: its shape, in white. */
function PalePart({ part, thin }: { part: Picture['parts'][number]; thin: number }) {
  switch (part.look) {
    case 'STITCHES':
    case 'TEETH':
      return null;
    case 'STRIP':
      return (
        <g fill="none" strokeLinejoin="round">
          <path d={part.path} stroke={PALE_INK} strokeWidth={part.stroke + 2 * thin} />
          <path d={part.path} stroke={PALE} strokeWidth={part.stroke} />
        </g>
      );
    default:
      return <path d={part.path} fill={PALE} stroke={PALE_INK} strokeWidth={0.8 * thin} />;
  }
}

/** A cloth with its print, to scale and as the frame lays it; so small that nobody could see it, it is drawn larger. */
export function Print({
  id,
  colour,
  cloth,
  frame,
  zoom,
}: {
  id: string;
  colour: string;
  cloth: Cloth | undefined;
  frame: number[];
  zoom: number;
}) {
  const print = cloth?.print ?? 'PLAIN';
  const own = cloth && cloth.repeatMm > 0 ? cloth.repeatMm : APART[print];
  const size = Math.max(own, 4 / zoom);
  const mark = 'rgba(255,255,255,.62)';
  const part = (share: number) => size * share;
  return (
    <defs>
      <pattern
        id={id}
        width={size}
        height={size}
        patternUnits="userSpaceOnUse"
        patternTransform={`matrix(${frame.join(' ')})`}
      >
        <rect width={size} height={size} fill={colour} />
        {print === 'DOTS' && <circle cx={part(0.5)} cy={part(0.5)} r={part(0.18)} fill={mark} />}
        {print === 'STRIPES' && <rect width={part(0.32)} height={size} fill={mark} />}
        {print === 'CHECKS' && (
          <>
            <rect width={part(0.3)} height={size} fill={mark} />
            <rect width={size} height={part(0.3)} fill={mark} />
          </>
        )}
        {print === 'FLORAL' && (
          <>
            <g fill={mark}>
              <circle cx={part(0.3)} cy={part(0.2)} r={part(0.09)} />
              <circle cx={part(0.2)} cy={part(0.3)} r={part(0.09)} />
              <circle cx={part(0.4)} cy={part(0.3)} r={part(0.09)} />
              <circle cx={part(0.3)} cy={part(0.4)} r={part(0.09)} />
              <circle cx={part(0.78)} cy={part(0.66)} r={part(0.07)} />
            </g>
            <path
              d={`M${part(0.3)} ${part(0.42)}V${part(0.72)}M${part(0.78)} ${part(0.74)}V${part(0.95)}`}
              stroke={mark}
              strokeWidth={part(0.04)}
            />
          </>
        )}
        {print === 'TEXTURE' && (
          <path d={`M0 ${size}L${size} 0`} stroke="rgba(255,255,255,.4)" strokeWidth={part(0.14)} />
        )}
      </pattern>
    </defs>
  );
}

/** The finished bag with all that it measures. */
export function FinishedBag({
  finished,
  across = 196,
  up = 150,
}: {
  finished: Schemas['FinishedView'];
  across?: number;
  up?: number;
}) {
  const units = useUnits();
  const said = finished.measures.map(({ figure }) => units.own(figure.value)).join(' × ');
  return (
    <div>
      {finished.picture && (
        <BagPicture picture={finished.picture} across={across} up={up} label={`Finished: ${said}`} />
      )}
      <div className="mt-1 text-center text-[13px] text-soft">finished</div>
      <dl className="mt-1 grid grid-cols-[auto_auto_1fr] gap-x-1.5 gap-y-0.5">
        {finished.measures.map(({ label: name, figure }) => (
          <div key={name} className="contents">
            <dt className="whitespace-nowrap text-soft">{name}</dt>
            <dd className="whitespace-nowrap">
              <WorkedFigure label={name} working={figure.working}>
                {units.own(figure.value)}
              </WorkedFigure>
            </dd>
            <dd className="text-right text-[13.5px] whitespace-nowrap text-soft">
              {units.other(figure.value)}
            </dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
