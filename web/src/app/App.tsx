import { lazy, Suspense, useEffect, useState } from 'react';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { Hatches } from '../ui/Hatches';
import { AT_THE_DOOR } from '../api/client';
import { NoSuchPage, Numbered } from './Numbered';
import { EnterPage } from './EnterPage';
import { BrokenPage } from './BrokenPage';
import { Rail } from './Rail';
import { Shortcuts } from './Shortcuts';
import { homeOf, useDoor } from './useRole';

const BenchPage = lazy(() => import('../areas/bench/BenchPage'));
const WorkPage = lazy(() => import('../areas/bench/work/WorkPage'));
const DaysPage = lazy(() => import('../areas/days/DaysPage'));
const DesignsPage = lazy(() => import('../areas/designs/DesignsPage'));
const KindsPage = lazy(() => import('../areas/designs/begin/KindsPage'));
const BriefPage = lazy(() => import('../areas/designs/begin/BriefPage'));
const TemplatesPage = lazy(() => import('../areas/designs/TemplatesPage'));
const DesignPage = lazy(() => import('../areas/designs/DesignPage'));
const MaterialsPage = lazy(() => import('../areas/materials/MaterialsPage'));
const BuyingPage = lazy(() => import('../areas/materials/BuyingPage'));
const MaterialPage = lazy(() => import('../areas/materials/MaterialPage'));
const DeliveriesPage = lazy(() => import('../areas/materials/DeliveriesPage'));
const StockTakePage = lazy(() => import('../areas/materials/StockTakePage'));
const ValuePage = lazy(() => import('../areas/materials/ValuePage'));
const HandPage = lazy(() => import('../areas/materials/HandPage'));
const FilesPage = lazy(() => import('../areas/materials/FilesPage'));
const CutPiecesPage = lazy(() => import('../areas/materials/CutPiecesPage'));
const FinishedPage = lazy(() => import('../areas/materials/FinishedPage'));
const BatchesPage = lazy(() => import('../areas/batches/BatchesPage'));
const BatchPage = lazy(() => import('../areas/batches/BatchPage'));
const GatherPage = lazy(() => import('../areas/batches/GatherPage'));
const TallyPage = lazy(() => import('../areas/batches/TallyPage'));
const CuttingPage = lazy(() => import('../areas/cutting/CuttingPage'));
const PricesPage = lazy(() => import('../areas/prices/PricesPage'));
const PriceSheetPage = lazy(() => import('../areas/prices/PriceSheetPage'));
const TicketsPage = lazy(() => import('../areas/prices/TicketsPage'));
const QuotesPage = lazy(() => import('../areas/prices/quotes/QuotesPage'));
const QuotePage = lazy(() => import('../areas/prices/quotes/QuotePage'));
const PrinterPage = lazy(() => import('../areas/prices/PrinterPage'));
const StallsPage = lazy(() => import('../areas/stalls/StallsPage'));
const SeasonPage = lazy(() => import('../areas/season/SeasonPage'));
const BagStoryPage = lazy(() => import('../areas/materials/BagStoryPage'));
const ResellersPage = lazy(() => import('../areas/stalls/resellers/ResellersPage'));
const ResellerPage = lazy(() => import('../areas/stalls/resellers/ResellerPage'));
const PostingPage = lazy(() => import('../areas/stalls/posting/PostingPage'));
const OrdersPage = lazy(() => import('../areas/stalls/orders/OrdersPage'));
const OrderPage = lazy(() => import('../areas/stalls/orders/OrderPage'));
const OnlinePage = lazy(() => import('../areas/stalls/online/OnlinePage'));
const FairPage = lazy(() => import('../areas/stalls/FairPage'));
const StallDayPage = lazy(() => import('../areas/stalls/day/StallDayPage'));
const LogbookPage = lazy(() => import('../areas/logbook/LogbookPage'));
const YearPage = lazy(() => import('../areas/year/YearPage'));
const BooksPage = lazy(() => import('../areas/year/BooksPage'));
const HelpPage = lazy(() => import('../areas/help/HelpPage'));
const SettingsPage = lazy(() => import('../areas/settings/SettingsPage'));

function Shell() {
  return (
    <div className="grid h-full grid-cols-[92px_minmax(0,1fr)] max-sm:grid-cols-[minmax(0,1fr)] max-sm:grid-rows-[minmax(0,1fr)_auto] print:block print:h-auto">
      <Hatches />
      <Rail />
      <main className="relative min-w-0 overflow-y-auto px-[22px] py-4 print:overflow-visible">
        <Suspense fallback={<p className="text-soft">Opening …</p>}>
          <Outlet />
        </Suspense>
      </main>
      <Shortcuts />
    </div>
  );
}

/** Where one begins: the maker and a helper at the bench, the stall's phone at the stalls. */
function Home() {
  const { data: door, isPending } = useDoor();
  const isOutside = door?.inside === false;
  useEffect(() => {
    if (isOutside) window.dispatchEvent(new Event(AT_THE_DOOR));
  }, [isOutside]);
  return isPending || isOutside ? null : <Navigate to={homeOf(door?.role)} replace />;
}

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <BrokenPage />,
    // A screen that breaks leaves the places on the left as they are.
    children: [
      {
        errorElement: <BrokenPage />,
        children: [
          { path: '/', element: <Home /> },
          { path: '/bench', element: <BenchPage /> },
          { path: '/bench/days', element: <DaysPage /> },
          { path: '/designs', element: <DesignsPage /> },
          { path: '/designs/new', element: <KindsPage /> },
          { path: '/designs/new/:kind', element: <BriefPage /> },
          { path: '/materials', element: <MaterialsPage /> },
          { path: '/materials/buying', element: <BuyingPage /> },
          { path: '/materials/deliveries', element: <DeliveriesPage /> },
          { path: '/materials/stock-take', element: <StockTakePage /> },
          { path: '/materials/value', element: <ValuePage /> },
          { path: '/materials/hand', element: <HandPage /> },
          { path: '/materials/files', element: <FilesPage /> },
          { path: '/materials/cut', element: <CutPiecesPage /> },
          { path: '/materials/finished', element: <FinishedPage /> },
          { path: '/batches', element: <BatchesPage /> },
          { path: '/batches/new', element: <BatchPage key="new" /> },
          { path: '/prices', element: <PricesPage /> },
          { path: '/prices/sheet', element: <PriceSheetPage /> },
          { path: '/prices/tickets', element: <TicketsPage /> },
          { path: '/prices/quotes', element: <QuotesPage /> },
          { path: '/prices/quotes/new', element: <QuotePage key="new" /> },
          { path: '/prices/printer', element: <PrinterPage /> },
          { path: '/stalls', element: <StallsPage /> },
          { path: '/stalls/online', element: <OnlinePage /> },
          { path: '/stalls/resellers', element: <ResellersPage /> },
          { path: '/stalls/posting', element: <PostingPage /> },
          { path: '/stalls/orders', element: <OrdersPage /> },
          { path: '/batches/what-to-make', element: <SeasonPage /> },
          { path: '/logbook', element: <LogbookPage /> },
          { path: '/year', element: <YearPage /> },
          { path: '/year/books', element: <BooksPage /> },
          { path: '/help', element: <HelpPage /> },
          { path: '/help/:topic', element: <HelpPage /> },
          { path: '/settings', element: <SettingsPage /> },
          // Whatever has a number.
          {
            element: <Numbered />,
            children: [
              { path: '/bench/work/:id', element: <WorkPage /> },
              { path: '/designs/:id', element: <DesignPage /> },
              { path: '/designs/:id/templates', element: <TemplatesPage /> },
              { path: '/materials/finished/:id', element: <BagStoryPage /> },
              { path: '/materials/:id', element: <MaterialPage /> },
              { path: '/batches/:id', element: <BatchPage /> },
              { path: '/batches/:id/cutting', element: <CuttingPage /> },
              { path: '/batches/:id/gather', element: <GatherPage /> },
              { path: '/batches/:id/tally', element: <TallyPage /> },
              { path: '/prices/quotes/:id', element: <QuotePage /> },
              { path: '/stalls/resellers/:id', element: <ResellerPage /> },
              { path: '/stalls/orders/:id', element: <OrderPage /> },
              { path: '/stalls/:id', element: <FairPage /> },
            ],
          },
          { path: '*', element: <NoSuchPage /> },
        ],
      },
    ],
  },
  // At the stall the screen is small: it has the whole of it.
  {
    element: <Numbered />,
    errorElement: <BrokenPage />,
    children: [
      {
        path: '/stalls/:id/day',
        element: (
          <Suspense fallback={<p className="p-4 text-soft">Opening …</p>}>
            <Hatches />
            <StallDayPage />
          </Suspense>
        ),
      },
    ],
  },
]);

export function App() {
  const [atTheDoor, setAtTheDoor] = useState(false);
  useEffect(() => {
    const stop = () => setAtTheDoor(true);
    window.addEventListener(AT_THE_DOOR, stop);
    return () => window.removeEventListener(AT_THE_DOOR, stop);
  }, []);
  // What was touched at the bench and wasn't sent before it was left is sent from wherever one is now.
  useEffect(() => {
    if (atTheDoor) return;
    void import('../areas/bench/work/sendWaiting').then(({ sendWaiting }) => sendWaiting());
    void import('../areas/stalls/day/outbox').then(({ sendAll }) => sendAll());
  }, [atTheDoor]);
  return atTheDoor ? <EnterPage onInside={() => setAtTheDoor(false)} /> : <RouterProvider router={router} />;
}
