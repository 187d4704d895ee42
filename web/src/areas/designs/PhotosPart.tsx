import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schemas } from '../../api/client';
import { useMaterials } from '../../api/queries';
import { SelectField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { PhotoButton } from '../../ui/PhotoButton';

type Photo = Schemas['DesignPhotoView'];

/** Photos of what was made of a design, one in each cloth; where there is none, the drawing stands for it. */
export function PhotosPart({ designId, name }: { designId: number; name: string }) {
  const path = `/api/designs/${designId}/photos`;
  const { data, error } = useQuery({
    queryKey: ['design-photos', designId],
    queryFn: () => api.get<Photo[]>(path),
  });
  const { data: materials } = useMaterials();
  const [cloth, setCloth] = useState('');
  const cloths = materials?.items.filter((one) => one.kind === 'CLOTH' && !one.putAway) ?? [];
  if (error) return <ProblemNotice problem={error} />;
  const there = data?.find((photo) => String(photo.clothId ?? '') === cloth);
  return (
    <section className="mt-4 border-t border-line pt-3" aria-label="Photos">
      <h3 className="font-semibold">Photos</h3>
      {data && data.length > 0 && (
        <ul className="my-2 flex flex-wrap gap-3">
          {data.map((photo) => (
            <li key={photo.id} className="w-[132px]">
              <img
                src={photo.address}
                alt={photo.cloth ? `${name} in ${photo.cloth}` : name}
                className="h-[100px] w-full rounded border border-line object-cover"
              />
              <span className="block text-[13.5px] text-soft">{photo.cloth || 'whatever cloth'}</span>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <SelectField label="In which cloth" value={cloth} onChange={(event) => setCloth(event.target.value)}>
          <option value="">whatever cloth</option>
          {cloths.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </SelectField>
        <PhotoButton
          key={there?.address ?? cloth}
          path={there ? there.address : cloth ? `${path}?cloth=${cloth}` : path}
          photo={there?.address}
        />
      </div>
    </section>
  );
}
