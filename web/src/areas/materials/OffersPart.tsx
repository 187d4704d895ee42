import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas } from '../../api/client';
import { useOffers, useSuppliers } from '../../api/queries';
import { Button } from '../../ui/Button';
import { SelectField, TextField } from '../../ui/Field';
import { ProblemNotice } from '../../ui/Notice';
import { useUnits } from '../../ui/units';
import { useRequestId, useSend } from '../../ui/useSend';

type Offer = Schemas['OfferView'];

/** The shops that sell a material, in which packs and for how much. */
export function OffersPart({ material }: { material: Schemas['MaterialView'] }) {
  const units = useUnits();
  const { data: suppliers } = useSuppliers();
  const { data: offers } = useOffers(material.id);
  const [shop, setShop] = useState('');
  const [content, setContent] = useState('');
  const [price, setPrice] = useState('');
  const request = useRequestId();
  const send = useSend(
    () =>
      api.post<Offer[]>(`/api/materials/${material.id}/offers`, {
        requestId: request.id,
        supplierId: Number(shop || suppliers?.[0]?.id),
        content,
        price,
      }),
    () => {
      request.renew();
      setContent('');
      setPrice('');
    },
  );
  const remove = useSend((id: number) => api.remove(`/api/offers/${id}`));
  return (
    <section aria-label="Where it is sold">
      <h3 className="font-bold">Where it is sold</h3>
      {suppliers?.length === 0 && (
        <p className="text-soft">
          No shop is entered yet.{' '}
          <Link to="/materials/buying" className="font-semibold text-woad hover:underline">
            Enter the shops that you buy from
          </Link>
          , then say here what they sell.
        </p>
      )}
      {offers && offers.length > 0 && (
        <table className="listing">
          <tbody>
            {offers.map((offer) => (
              <tr key={offer.id}>
                <td>{offer.supplier}</td>
                <td className="whitespace-nowrap">{offer.content.exact}</td>
                <td className="num">{offer.price.amount}</td>
                <td className="num">
                  <button
                    type="button"
                    className="min-h-11 px-1 font-semibold whitespace-nowrap text-woad"
                    aria-label={`${offer.content.exact} from ${offer.supplier} is no longer sold`}
                    onClick={() => remove.mutate(offer.id)}
                  >
                    Remove
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <ProblemNotice problem={remove.problem} />
      {suppliers && suppliers.length > 0 && (
        <form
          className="mt-2 grid grid-cols-2 items-start gap-3 [&>:first-child]:col-span-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (!send.isPending) send.mutate(undefined);
          }}
        >
          <SelectField label="Shop" value={shop} onChange={(event) => setShop(event.target.value)}>
            {suppliers.map((supplier) => (
              <option key={supplier.id} value={supplier.id}>
                {supplier.name}
              </option>
            ))}
          </SelectField>
          <TextField
            label="One pack holds"
            value={content}
            onChange={(event) => setContent(event.target.value)}
            error={send.problem?.on('content')}
            hint={material.pricePer.count === undefined ? `like ${material.pricePer.exact}` : 'pieces'}
          />
          <TextField
            label={`Price (${units.currency})`}
            inputMode="decimal"
            value={price}
            onChange={(event) => setPrice(event.target.value)}
            error={send.problem?.on('price')}
          />
          {send.problem && send.problem.errors.length === 0 && <ProblemNotice problem={send.problem} />}
          <Button
            type="submit"
            look="quiet"
            disabled={send.isPending}
            className="col-start-1 justify-self-start"
          >
            Add this pack
          </Button>
        </form>
      )}
    </section>
  );
}
