import { together } from "./together";

together(2);
