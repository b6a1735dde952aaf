/** What differences of measuring are held against here: the practice's own noise where it was studied, else the usual rules. */
import { USUAL_NOISE, type MeasuringNoise } from "@kind-grip/core/baseline";
import { serverApi } from "../base/api";

export function useNoise(): MeasuringNoise {
  return serverApi.useMeQuery().data?.account?.noise ?? USUAL_NOISE;
}
