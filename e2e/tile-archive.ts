/** A small tile archive for the tests (PMTiles 3): a lake that is as large as the world. */
import GeoJsonTiles from "geojson-vt";
import { fromGeojsonVt } from "vt-pbf";

const HEADER = 127;

/** Numbers as the archive's directory has them. */
function varint(value: number): number[] {
  const bytes: number[] = [];
  for (let left = value; ; left = Math.floor(left / 128)) {
    if (left < 128) return [...bytes, left];
    bytes.push((left % 128) | 128);
  }
}

/** The archive as a file. */
export function tileArchive(): Buffer {
  const water = {
    type: "FeatureCollection" as const,
    features: [
      {
        type: "Feature" as const,
        properties: {},
        geometry: {
          type: "Polygon" as const,
          coordinates: [
            [
              [-170, -80],
              [170, -80],
              [170, 80],
              [-170, 80],
              [-170, -80],
            ],
          ],
        },
      },
    ],
  };
  const tile = new GeoJsonTiles(water, { maxZoom: 0, indexMaxZoom: 0 }).getTile(0, 0, 0);
  if (tile === null) throw new Error("there is no tile of the world");
  const data = Buffer.from(fromGeojsonVt({ water: tile }, { version: 2 }));
  // the tile of the world, and the four of the next zoom, all with the same content
  const directory = Buffer.from([2, 0, 1, 1, 4, ...varint(data.length), ...varint(data.length), 1, 1]);
  const metadata = Buffer.from("{}");
  const header = Buffer.alloc(HEADER);
  header.write("PMTiles", 0, "latin1");
  header.writeUInt8(3, 7);
  const numbers = [
    HEADER,
    directory.length,
    HEADER + directory.length,
    metadata.length,
    0,
    0,
    HEADER + directory.length + metadata.length,
    data.length,
    5,
    2,
    1,
  ];
  for (const [index, number] of numbers.entries()) header.writeBigUInt64LE(BigInt(number), 8 + index * 8);
  // clustered; neither directory nor tiles are packed; vector tiles
  for (const [index, value] of [1, 1, 1, 1, 0, 1].entries()) header.writeUInt8(value, 96 + index);
  for (const [index, degrees] of [-180, -85, 180, 85].entries()) header.writeInt32LE(degrees * 1e7, 102 + index * 4);
  return Buffer.concat([header, directory, metadata, data]);
}
