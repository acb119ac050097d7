/** The store as files: labels, a table, all of the kitchen, dates. */
import { calendarOf } from "@jittery-cap/core";
import { kitchenJson, leftOf, storeCsv, storeEvents } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { linkTo } from "../base.ts";
import { saveFile } from "../exchange/save-file.ts";
import { useCommonNames } from "../sheets/use-common-names.ts";
import type { Kitchen } from "./use-kitchen.ts";

export function StoreFiles({ kitchen }: { readonly kitchen: Kitchen }) {
  const names = useCommonNames();
  const full = kitchen.batches.filter(({ content }) => leftOf(content) !== 0);
  const nameOf = (kind: string) => names.get(kind) ?? kind;
  const labelOf = (find: string) => kitchen.decisions.find((one) => one.find.id === find)?.find.label ?? find;
  // the place by its name, as rough as the person named it
  const withPlace = (find: string) => {
    const place = kitchen.decisions.find((one) => one.find.id === find)?.find.place?.name;
    return place === undefined ? labelOf(find) : `${labelOf(find)}, ${place}`;
  };
  const labels = async () => {
    const { labelsPdf } = await import("./labels-pdf.ts");
    saveFile(await labelsPdf(full, nameOf, withPlace, linkTo("")), "labels.pdf", "application/pdf");
  };
  return (
    <div className="actions above-3">
      <Button onClick={() => void labels()}>Labels for a sheet of paper</Button>
      <Button onClick={() => saveFile(storeCsv(kitchen.batches, nameOf, labelOf), "store.csv", "text/csv")}>
        Store as a table
      </Button>
      <Button
        onClick={() =>
          saveFile(
            kitchenJson({ meals: kitchen.meals, batches: kitchen.batches, tastings: kitchen.tastings }),
            "kitchen.json",
            "application/json",
          )
        }
      >
        All of the kitchen as a file
      </Button>
      <Button
        onClick={() =>
          saveFile(
            calendarOf(
              "Store",
              storeEvents(kitchen.batches, (moment) => new Date(moment)),
              new Date(),
            ),
            "store.ics",
            "text/calendar",
          )
        }
      >
        Dates as a calendar
      </Button>
    </div>
  );
}
