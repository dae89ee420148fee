export { loadTrays, type OvenLoad, type TrayFault, type TrayLoading, type TrayRequest } from "./loadTrays";
