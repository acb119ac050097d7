/** Tiles out of a PMTiles archive on this device, drawn by protomaps-leaflet; pictures as tiles by Leaflet itself. */
import L from "leaflet";
import { FileSource, PMTiles, TileType } from "pmtiles";
import { LineSymbolizer, leafletLayer, PolygonSymbolizer } from "protomaps-leaflet";
import { tone } from "../theme/tokens.ts";

/** Whether a file is such an archive, and what is in it; undefined where it is none. */
export async function archiveOf(
  file: File,
): Promise<{ readonly archive: PMTiles; readonly isVector: boolean; readonly maxZoom: number } | undefined> {
  try {
    const archive = new PMTiles(new FileSource(file));
    const { tileType, maxZoom } = await archive.getHeader();
    return { archive, isVector: tileType === TileType.Mvt, maxZoom };
  } catch {
    return undefined;
  }
}

/** The archive as a layer beneath everything else. */
export async function archiveLayer(file: File): Promise<L.Layer | undefined> {
  const read = await archiveOf(file);
  if (read === undefined) return undefined;
  if (!read.isVector) return pictureTiles(read.archive);
  return leafletLayer({
    url: read.archive,
    // what is nearer than its last tiles is drawn of those
    maxDataZoom: read.maxZoom,
    paintRules: [
      ...["earth", "landuse", "natural", "landcover"].map((dataLayer) => ({
        dataLayer,
        symbolizer: new PolygonSymbolizer({ fill: tone.boneDeep }),
      })),
      { dataLayer: "water", symbolizer: new PolygonSymbolizer({ fill: "#c4cfcd" }) },
      { dataLayer: "roads", symbolizer: new LineSymbolizer({ color: tone.inkSoft, width: 1.5 }) },
      { dataLayer: "boundaries", symbolizer: new LineSymbolizer({ color: tone.clay, width: 1, dash: [4, 4] }) },
    ],
    labelRules: [],
  }) as unknown as L.Layer;
}

function pictureTiles(archive: PMTiles): L.Layer {
  const Tiles = L.GridLayer.extend({
    createTile(this: L.GridLayer, at: L.Coords, done: (error: Error | undefined, tile: HTMLElement) => void) {
      const tile = document.createElement("img");
      tile.alt = "";
      archive.getZxy(at.z, at.x, at.y).then(
        (got) => {
          if (got !== undefined) tile.src = URL.createObjectURL(new Blob([got.data]));
          done(undefined, tile);
        },
        (error: unknown) => done(error instanceof Error ? error : new Error(String(error)), tile),
      );
      return tile;
    },
  });
  return new Tiles() as L.Layer;
}
