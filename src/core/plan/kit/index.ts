export { countOnShelf, findTraysPerLoad, findVessel, openKit, placeNames, type KitRoom } from "./kitRoom";
export {
  listDecks,
  listLights,
  listMachines,
  setFor,
  toFryerId,
  toOvenId,
  type DeckHeat,
  type Light,
} from "./ovenSetting";
