/** The person's own base map: taken in, told by its name, and put away again. */
import Button from "@mui/material/Button";
import { useState } from "react";
import { FileButton } from "../layout/file-button.tsx";
import { forgetBaseMap, keepBaseMap, useBaseMap } from "./base-map.ts";

export function OwnBaseMap() {
  const base = useBaseMap();
  const [refused, setRefused] = useState<string>();
  const take = async (file: File) => {
    const { archiveOf } = await import("./archive-layer.ts");
    if ((await archiveOf(file)) === undefined)
      setRefused(`${file.name} is no tile archive (PMTiles). The map stays as it is.`);
    else {
      setRefused(undefined);
      await keepBaseMap(file);
    }
  };
  return (
    <>
      <div className="map-asked">
        <FileButton label="A base map of your own" accept=".pmtiles" onFile={(file) => void take(file)}>
          {base === undefined ? "A base map of your own (PMTiles)" : `Base map: ${base.name}`}
        </FileButton>
        {base !== undefined && (
          <Button variant="quiet" onClick={() => void forgetBaseMap()}>
            Without it
          </Button>
        )}
        <span className="soft small">
          No tile is ever fetched from a network: whoever serves tiles learns where you look.
        </span>
      </div>
      {refused !== undefined && <p role="alert">{refused}</p>}
    </>
  );
}
