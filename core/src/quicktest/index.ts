/** Before and after: one quick test of the crew's or the person's choice, under 20 s, before a run and after it. */
export {
  gainOf,
  isAskedOnPhone,
  noiseOfTest,
  OwnQuickTest,
  QUICK_TESTS,
  QUICK_TESTS_OF_CREW,
  QUICK_TESTS_OF_PHONE,
  QuickResult,
  QuickTest,
  quickTestFor,
} from "./quick-test";
