import Alpine from "@alpinejs/csp";
import { leaving } from "../device/leaving.js";
import { parts } from "../device/parts.js";
import { clips } from "../runs/clips.js";
import { mine } from "./mine.js";
import { player } from "./player.js";

// A dancer's own pages.
leaving();
[parts, clips, mine, player].forEach(each => each(Alpine));
Alpine.start();
