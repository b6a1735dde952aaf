import { Button, type ButtonProps } from "@mui/material";
import { useRef } from "react";

interface FilePickProps extends Omit<ButtonProps, "onClick"> {
  /** Name of the file wanted, for tests and assistive technology. */
  label: string;
  accept: string;
  onPick(file: File): void;
}

/** A button that asks for a file; the same file can be picked again after it was mended. */
export function FilePick({ label, accept, onPick, ...button }: FilePickProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...button} onClick={() => input.current?.click()} />
      <input
        ref={input}
        type="file"
        hidden
        accept={accept}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onPick(file);
          event.target.value = "";
        }}
      />
    </>
  );
}
