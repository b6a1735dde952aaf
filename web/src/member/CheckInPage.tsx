/** The next-morning check-in: one number, where, tingling or not. Ten seconds. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { Region } from "@kind-grip/core/library";
import { useWords } from "../base/library";
import { v7 as uuid } from "uuid";
import { Toggle } from "../parts/Toggle";
import { ZeroToTen } from "../parts/ZeroToTen";
import { PhoneTitle, useDay } from "./PhoneFrame";
import { putAway } from "./phone-store";
import { Places } from "./Places";
import { practiceTime } from "./use-phone";
import { workdayAt } from "./workday";
import { YesNo } from "./YesNo";

export default function CheckInPage() {
  const words = useWords();
  const phone = useDay();
  const navigate = useNavigate();
  const [level, setLevel] = useState<number | null>(null);
  const [regions, setRegions] = useState<Region[]>([]);
  const [tingling, setTingling] = useState(false);
  const [stillThere, setStillThere] = useState<boolean | null>(null);
  const store = async () => {
    const day = workdayAt(phone.day, practiceTime(phone));
    await putAway({
      kind: "check-ins",
      body: { id: uuid(), day, level: level!, regions: level === 0 ? [] : regions, tingling, stillThere: tingling ? stillThere : null },
    });
    // What it paused, and whom to turn to, is the first thing there.
    await navigate("/me");
  };
  return (
    <>
      <PhoneTitle title={words.member("morningAsk")} lead={words.member("morningWorst")} />
      <ZeroToTen
        label={words.member("morningAsk")}
        nameOf={words.digits}
        written={words.digits}
        value={level}
        onChange={setLevel}
        size="thumb"
      />
      {level !== null && level > 0 && (
        <Box sx={{ mt: 3 }}>
          <Typography variant="h3" component="h2" sx={{ mb: 1 }}>
            {words.member("where")}
          </Typography>
          <Places label={words.member("where")} value={regions} onChange={setRegions} />
        </Box>
      )}
      <Box sx={{ my: 3 }}>
        <Toggle label={words.member("tinglingNight")} pressed={tingling} onChange={setTingling} />
      </Box>
      {tingling && <YesNo question={words.member("tinglingStill")} value={stillThere} onChange={setStillThere} />}
      <Button
        variant="contained"
        fullWidth
        disabled={level === null || (tingling && stillThere === null)}
        onClick={() => void store()}
        sx={{ minHeight: 60, fontSize: "1.2rem" }}
      >
        {words.member("keep")}
      </Button>
      <Button fullWidth onClick={() => void navigate("/me")} sx={{ mt: 1 }}>
        {words.member("back")}
      </Button>
    </>
  );
}
