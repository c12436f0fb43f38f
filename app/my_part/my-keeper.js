import { Keeper } from "../device/keeper.js";
import { MINE } from "./keeper.js";

new Keeper(MINE).begin();
