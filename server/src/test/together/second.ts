import { together } from "./together";

together(1);
