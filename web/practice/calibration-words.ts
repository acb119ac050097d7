/** How sure against how often right, in words. */
import type { Calibration } from "@jittery-cap/core/trainer";

/** The line in words. */
export function lineWords({ bins }: Calibration): string {
  const told = bins.filter((bin) => bin.right.isTold);
  if (told.length === 0) return "Too few tries to tell how sure you may be.";
  const surest = told.at(-1);
  if (surest === undefined) return "";
  const { sure, right } = surest;
  const tenths = (share: number) => (share * 10).toFixed(1).replace(/\.0$/, "");
  const over =
    sure > right.high ? "You are surer than you are right: " : sure < right.low ? "You know more than you say: " : "";
  return `${over}where you said ${tenths(sure)} of ten, ${tenths(right.some / right.of)} of ten were right (${right.some} of ${right.of}).`;
}
