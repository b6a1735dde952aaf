/** Follow-up: attendance, effort and trends. */
export { followUpByPerson, followUpByRun, type Attendance, type PersonFollowUp, type RunFollowUp } from "./attendance";
export { MIN_ANSWERS, trendOf, type Trend } from "./trend";
