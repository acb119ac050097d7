/** The one list of what is reached from everywhere: sheets, prints, files. */
import MoreHoriz from "@mui/icons-material/MoreHoriz";
import Button from "@mui/material/Button";
import { lazy, Suspense, useState } from "react";

const MoreList = lazy(() => import("./more-list.tsx").then((module) => ({ default: module.MoreList })));

export function MoreMenu() {
  const [at, setAt] = useState<HTMLElement>();
  return (
    <>
      <Button
        variant="quiet"
        startIcon={<MoreHoriz />}
        aria-haspopup="menu"
        aria-expanded={at !== undefined}
        onClick={(event) => setAt(event.currentTarget)}
        className="trail-more"
      >
        More
      </Button>
      {at !== undefined && (
        <Suspense fallback={null}>
          <MoreList at={at} onClose={() => setAt(undefined)} />
        </Suspense>
      )}
    </>
  );
}
