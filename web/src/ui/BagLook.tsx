import { useState } from 'react';
import type { Schemas } from '../api/client';
import { BagPicture } from './BagPicture';

/** How a bag looks where only one look is shown: on the maker's photo, or drawn where there is none or it can't be read now. */
export function BagLook({
  picture,
  photo,
  across,
  up,
}: {
  picture: Schemas['PictureView'] | undefined;
  photo: string | undefined;
  /** The room for it, in pixels. */
  across: number;
  up: number;
}) {
  const [broken, setBroken] = useState<string>();
  if (photo && photo !== broken) {
    return (
      <img
        src={photo}
        alt=""
        width={across}
        height={up}
        className="mx-auto rounded object-cover"
        style={{ width: across, height: up }}
        onError={() => setBroken(photo)}
      />
    );
  }
  return picture ? <BagPicture picture={picture} across={across} up={up} /> : null;
}
