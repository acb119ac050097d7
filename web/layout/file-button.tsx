/** A button that asks for a file. */
import Button from "@mui/material/Button";
import { type ReactNode, useRef } from "react";

interface FileButtonProps {
  /** What the file is, read out. */
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
  readonly isCamera?: boolean;
  readonly children: ReactNode;
}

export function FileButton({ label, accept, onFile, isCamera = false, children }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onClick={() => input.current?.click()}>{children}</Button>
      <input
        ref={input}
        hidden
        type="file"
        aria-label={label}
        accept={accept}
        {...(isCamera ? { capture: "environment" as const } : {})}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file !== undefined) onFile(file);
          // the same file can be chosen again
          event.target.value = "";
        }}
      />
    </>
  );
}
