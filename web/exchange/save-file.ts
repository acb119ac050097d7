/** Gives the person a file to keep, under the name they would look for. */
export function saveFile(content: string | Uint8Array, name: string, type: string): void {
  const url = URL.createObjectURL(
    new Blob([typeof content === "string" ? content : new Uint8Array(content)], { type }),
  );
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  // the browser has taken it over by then
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}
