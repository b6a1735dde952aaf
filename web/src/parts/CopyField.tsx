/** Something that has to be passed on: shown whole, copied at a press. */
import { Box, Button, TextField } from "@mui/material";
import { Check, Copy } from "lucide-react";
import { useRef, useState } from "react";
import { UNSEEN } from "../base/unseen";
import { t } from "../base/words";

export function CopyField({ label, value }: { label: string; value: string }) {
  const [copied, setCopied] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(value);
      setCopied(true);
    } catch {
      // A page that may not copy leaves it chosen: one key does the rest.
      field.current?.select();
    }
  };
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end", flexWrap: "wrap" }}>
      <TextField
        label={label}
        value={value}
        inputRef={field}
        onFocus={(event) => event.target.select()}
        slotProps={{ htmlInput: { readOnly: true } }}
        sx={{ flex: 1, minWidth: 220 }}
      />
      <Button
        variant="outlined"
        startIcon={copied ? <Check size={18} /> : <Copy size={18} />}
        onClick={() => void copy()}
        sx={{ minHeight: 44 }}
      >
        {copied ? t("Copied") : t("Copy")}
      </Button>
      {/* The button says it where it is seen; this says it to whoever hears the page. */}
      <Box component="span" role="status" sx={UNSEEN}>
        {copied && t("Copied")}
      </Box>
    </Box>
  );
}
