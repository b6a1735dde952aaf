/** How to keep this page on the phone, as an application; gone for good with one press. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { useWords } from "../base/library";
import { install, installWay } from "./install";

const KEPT = "kind-grip-no-install-hint";

export function InstallHint() {
  const words = useWords();
  const [way, setWay] = useState(() => (localStorage.getItem(KEPT) ? null : installWay()));
  if (way === null) return null;
  const end = () => {
    localStorage.setItem(KEPT, "1");
    setWay(null);
  };
  return (
    <Box component="section" aria-label={words.member("installTitle")} sx={{ borderTop: "2px solid", borderColor: "line", mt: 4, pt: 2 }}>
      <Typography variant="h2" sx={{ fontSize: "1.15rem" }}>
        {words.member("installTitle")}
      </Typography>
      <Typography sx={{ color: "text.secondary" }}>{words.member("installWhy")}</Typography>
      {way !== "offered" && <Typography sx={{ mt: 1 }}>{words.member(way === "share" ? "installShare" : "installMenu")}</Typography>}
      <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
        {way === "offered" && (
          <Button variant="outlined" onClick={() => void install().then(end)}>
            {words.member("installDo")}
          </Button>
        )}
        <Button onClick={end}>{words.member("installNo")}</Button>
      </Box>
    </Box>
  );
}
