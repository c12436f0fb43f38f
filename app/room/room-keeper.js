import { Keeper } from "../device/keeper.js";
import { ROOM } from "./keeper.js";

new Keeper(ROOM).begin();
