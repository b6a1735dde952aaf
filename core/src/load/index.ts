/** How heavy a load is at the joint it works. */
export { PALM_FROM_CREASE_M, supportedWristTorqueNm } from "./dumbbell";
