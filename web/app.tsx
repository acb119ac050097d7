/** The views of the trail. A view that has nothing yet is not shown. */
import { lazy, Suspense, useEffect } from "react";
import { Navigate, Route, Routes } from "react-router";
import { keepSending } from "./device/outbox.ts";
import { keepSettled } from "./device/settled.ts";
import { PrintReminder } from "./field-tests/print-reminder.tsx";
import { FindView } from "./find/find-view.tsx";
import { LogView } from "./log/log-view.tsx";
import { NewVersion } from "./new-version.tsx";
import { PartMissing } from "./part-missing.tsx";

// read at the table rather than in the wood: fetched when they are first opened
const ShelfView = lazy(() => import("./sheets/shelf-view.tsx").then((module) => ({ default: module.ShelfView })));
const SheetView = lazy(() => import("./sheets/sheet-view.tsx").then((module) => ({ default: module.SheetView })));
const CompareView = lazy(() => import("./sheets/compare-view.tsx").then((module) => ({ default: module.CompareView })));
const HistoryView = lazy(() =>
  import("./history/history-view.tsx").then((module) => ({ default: module.HistoryView })),
);
const RunView = lazy(() => import("./run/run-view.tsx").then((module) => ({ default: module.RunView })));
const TestsView = lazy(() => import("./field-tests/tests-view.tsx").then((module) => ({ default: module.TestsView })));
const AllPrintsView = lazy(() =>
  import("./field-tests/all-prints-view.tsx").then((module) => ({ default: module.AllPrintsView })),
);
const DecideView = lazy(() => import("./decide/decide-view.tsx").then((module) => ({ default: module.DecideView })));
const BasketView = lazy(() => import("./basket/basket-view.tsx").then((module) => ({ default: module.BasketView })));
const ExchangeView = lazy(() =>
  import("./exchange/exchange-view.tsx").then((module) => ({ default: module.ExchangeView })),
);
const PacketView = lazy(() => import("./packet/packet-view.tsx").then((module) => ({ default: module.PacketView })));
const RulesView = lazy(() => import("./rules/rules-view.tsx").then((module) => ({ default: module.RulesView })));

export function App() {
  useEffect(() => keepSending(), []);
  useEffect(() => keepSettled(), []);
  return (
    <PartMissing>
      <Suspense fallback={null}>
        <NewVersion />
        <PrintReminder />
        <Routes>
          <Route path="/" element={<Navigate to="/log" replace />} />
          <Route path="/log" element={<LogView />} />
          <Route path="/find/:id" element={<FindView />} />
          <Route path="/find/:id/history" element={<HistoryView />} />
          <Route path="/find/:id/run" element={<RunView />} />
          <Route path="/find/:id/:station" element={<FindView />} />
          <Route path="/tests" element={<AllPrintsView />} />
          <Route path="/tests/:id" element={<TestsView />} />
          <Route path="/tests/:id/:test" element={<TestsView />} />
          <Route path="/decide/:id" element={<DecideView />} />
          <Route path="/basket" element={<BasketView />} />
          <Route path="/exchange" element={<ExchangeView />} />
          <Route path="/packet/:token" element={<PacketView />} />
          <Route path="/rules/:id" element={<RulesView />} />
          <Route path="/sheets" element={<ShelfView />} />
          <Route path="/sheet/:id" element={<SheetView />} />
          <Route path="/compare/:one/:other" element={<CompareView />} />
          <Route path="*" element={<Navigate to="/log" replace />} />
        </Routes>
      </Suspense>
    </PartMissing>
  );
}
