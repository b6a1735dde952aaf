import { together } from "./together";

together(0);
