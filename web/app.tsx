/** The views of the trail. A view that has nothing yet is not shown. */
import { useEffect } from "react";
import { Navigate, Route, Routes } from "react-router";
import { DecideView } from "./decide/decide-view.tsx";
import { keepSending } from "./device/outbox.ts";
import { FindView } from "./find/find-view.tsx";
import { LogView } from "./log/log-view.tsx";

export function App() {
  useEffect(() => keepSending(), []);
  return (
    <Routes>
      <Route path="/" element={<Navigate to="/log" replace />} />
      <Route path="/log" element={<LogView />} />
      <Route path="/find/:id" element={<FindView />} />
      <Route path="/find/:id/:station" element={<FindView />} />
      <Route path="/decide/:id" element={<DecideView />} />
      <Route path="*" element={<Navigate to="/log" replace />} />
    </Routes>
  );
}
