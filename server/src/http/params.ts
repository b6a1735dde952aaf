/** Parameters shared by several subjects. */
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";

export const CrewParams = v.object({ crewId: Id });
