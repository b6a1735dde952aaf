/** What is asked before and after what one follows alone: what the crew is asked, something else, or nothing. */
import type { MemberDay } from "@kind-grip/core/api";
import { isAskedOnPhone, QUICK_TESTS_OF_PHONE } from "@kind-grip/core/quicktest";
import { useWords } from "../base/library";
import { memberApi } from "./api";
import { AS_CREW, OwnChoice } from "./OwnChoice";
import { takeDay } from "./use-phone";

const NONE = "none";

export function QuickChoice({ quickTest: { crew, own } }: { quickTest: NonNullable<MemberDay["quickTest"]> }) {
  const words = useWords();
  const [choose, { error }] = memberApi.useMemberQuickTestMutation();
  const set = async (value: string) => {
    const { data } = await choose(value === NONE ? NONE : (QUICK_TESTS_OF_PHONE.find((test) => test === value) ?? null));
    if (data) await takeDay(data);
  };
  return (
    <OwnChoice
      label={words.member("quickTitle")}
      value={own ?? AS_CREW}
      ofCrew={words.member(crew !== null && isAskedOnPhone(crew) ? `quick.${crew}` : "quickNone")}
      options={[
        ...QUICK_TESTS_OF_PHONE.map((test) => ({ value: test, label: words.member(`quick.${test}`) })),
        { value: NONE, label: words.member("quickNone") },
      ]}
      onChange={(value) => void set(value)}
      failed={error !== undefined}
    />
  );
}
