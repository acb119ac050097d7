/** A map without a network: the lakeland that ships, or a base map file of the person's own, and what is laid on it. */
import type { GeoJsonObject } from "geojson";
import L from "leaflet";
import "leaflet/dist/leaflet.css";
import { type ReactNode, useEffect, useState } from "react";
import { GeoJSON, MapContainer, Pane, ScaleControl, useMap } from "react-leaflet";
import { useBaseMap } from "./base-map.ts";
import { GROUND } from "./ground-style.ts";
import "./map.css";
import { under } from "../base.ts";

interface MapFrameProps {
  readonly label: string;
  /** What the map shows at first, corners as latitude and longitude. */
  readonly bounds: L.LatLngBoundsExpression;
  readonly children: ReactNode;
  readonly className?: string;
}

export function MapFrame({ label, bounds, children, className = "" }: MapFrameProps) {
  return (
    <section aria-label={label} className={`map ${className}`}>
      <MapContainer bounds={bounds} preferCanvas attributionControl={false} zoomSnap={0.25} className="map-inside">
        <Ground />
        <OwnBase />
        {children}
        <ScaleControl imperial={false} />
      </MapContainer>
    </section>
  );
}

/** The invented lakeland, of which the land ships as data. */
function Ground() {
  const [land, setLand] = useState<GeoJsonObject>();
  useEffect(() => {
    let overtaken = false;
    fetch(under("/lakeland.geojson"))
      .then((response) => response.json())
      .then(
        (told: GeoJsonObject) => overtaken || setLand(told),
        () => undefined,
      );
    return () => {
      overtaken = true;
    };
  }, []);
  if (land === undefined) return null;
  return (
    <Pane name="ground" style={{ zIndex: 250 }}>
      <GeoJSON
        data={land}
        pane="ground"
        interactive={false}
        style={(feature) => GROUND[String(feature?.properties.kind)] ?? GROUND.path ?? {}}
        pointToLayer={(feature, at) =>
          L.marker(at, {
            interactive: false,
            keyboard: false,
            icon: L.divIcon({
              className: "map-name",
              html: escaped(String(feature.properties.name)),
              iconSize: [140, 20],
            }),
          })
        }
      />
    </Pane>
  );
}

const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** The person's own base map, where there is one; without one nothing is fetched from anywhere. */
function OwnBase() {
  const map = useMap();
  const file = useBaseMap();
  useEffect(() => {
    if (file === undefined) return;
    let layer: L.Layer | undefined;
    let overtaken = false;
    void import("./archive-layer.ts").then(
      async ({ archiveLayer }) => {
        const made = await archiveLayer(file);
        if (overtaken || made === undefined) return;
        layer = made.addTo(map);
      },
      () => undefined,
    );
    return () => {
      overtaken = true;
      layer?.remove();
    };
  }, [file, map]);
  return null;
}
