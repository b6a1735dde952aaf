/** What is asked before and after what one follows alone: what the crew is asked, something else, or nothing. */
import { MenuItem, TextField, Typography } from "@mui/material";
import type { MemberDay } from "@kind-grip/core/api";
import { isAskedOnPhone, QUICK_TESTS_OF_PHONE } from "@kind-grip/core/quicktest";
import { useWords } from "../base/library";
import { memberApi } from "./api";
import { takeDay } from "./use-phone";

const AS_CREW = "crew";

export function QuickChoice({ quickTest: { crew, own } }: { quickTest: NonNullable<MemberDay["quickTest"]> }) {
  const words = useWords();
  const [choose, { error }] = memberApi.useMemberQuickTestMutation();
  const set = async (value: string) => {
    const { data } = await choose(
      value === AS_CREW ? null : value === "none" ? value : (QUICK_TESTS_OF_PHONE.find((test) => test === value) ?? null),
    );
    if (data) await takeDay(data);
  };
  const ofCrew = crew !== null && isAskedOnPhone(crew) ? words.member(`quick.${crew}`) : words.member("quickNone");
  return (
    <>
      <TextField
        select
        label={words.member("quickTitle")}
        value={own ?? AS_CREW}
        onChange={({ target }) => void set(target.value)}
        sx={{ width: "100%", maxWidth: 320 }}
      >
        <MenuItem value={AS_CREW}>{words.member("reminderAsCrew", { what: ofCrew })}</MenuItem>
        {QUICK_TESTS_OF_PHONE.map((test) => (
          <MenuItem key={test} value={test}>
            {words.member(`quick.${test}`)}
          </MenuItem>
        ))}
        <MenuItem value="none">{words.member("quickNone")}</MenuItem>
      </TextField>
      {error && (
        <Typography role="alert" sx={{ color: "error.main", mt: 1 }}>
          {words.member("away")}
        </Typography>
      )}
    </>
  );
}
