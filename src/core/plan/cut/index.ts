export { planCutting } from "./planCutting";
