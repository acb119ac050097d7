/** The present, told again every so often: what waits comes due while somebody looks on. */
import { useEffect, useState } from "react";

const EVERY_MS = 20_000;

export function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
