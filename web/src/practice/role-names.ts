import type { StaffEntry } from "@kind-grip/core/api";
import { t } from "../base/words";

export const ROLE_NAMES: Readonly<Record<StaffEntry["role"], string>> = {
  trainer: t("Trainer"),
  lead: t("Crew lead"),
  employer: t("Employer contact"),
};
