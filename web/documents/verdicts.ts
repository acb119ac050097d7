/** How finds stand by this device's own judge, remembered by revision and edition: what is shown is never that of another record. */
import { type AnswerSummary, answerSummarySchema, type Find } from "@jittery-cap/core";
import { askShelf } from "../worker/judge.ts";
import { device } from "./device.ts";
import type { Kept } from "./documents.ts";

/** The edition of the sheets that this device judges by. */
let edition: Promise<string> | undefined;
export const ownEdition = (): Promise<string> => {
  edition ??= askShelf((remote) => remote.edition()).catch((error: unknown) => {
    edition = undefined;
    throw error;
  });
  return edition;
};

/** How a record stands. Rejects where the judge cannot be had. */
export const summaryOfFind = (find: Find): Promise<AnswerSummary> => askShelf((remote) => remote.summarise(find));

/** How a kept find stands: remembered, or judged now. Rejects where the judge cannot be had. */
export async function standingSummary({ id, revision, content }: Kept<"find">): Promise<AnswerSummary> {
  const [by, known] = [await ownEdition(), await device.verdicts.get(id)];
  if (known?.revision === revision && known.edition === by) {
    const parsed = answerSummarySchema.safeParse(known.summary);
    if (parsed.success) return parsed.data;
  }
  const summary = await summaryOfFind(content);
  await device.verdicts.put({ documentId: id, revision, edition: by, summary });
  return summary;
}
