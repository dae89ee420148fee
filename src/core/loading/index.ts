export { loadTrays, type OvenLoad, type TrayFailure, type TrayLoading, type TrayRequest } from "./loadTrays";
