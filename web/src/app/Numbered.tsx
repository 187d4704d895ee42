import { Outlet, useParams } from 'react-router';

/** Where an address leads nowhere. */
export function NoSuchPage() {
  return <p>There is no such page. The places are on the left.</p>;
}

/** Pages of things that have a number: an address with something else in its place leads nowhere. */
export function Numbered() {
  const { id = '' } = useParams();
  return /^\d{1,15}$/.test(id) ? <Outlet /> : <NoSuchPage />;
}
