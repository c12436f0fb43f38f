import Alpine from "@alpinejs/csp";
import { leaving } from "../device/leaving.js";
import { room } from "./room.js";

// The room's own page.
leaving();
room(Alpine);
Alpine.start();
