import Alpine from "@alpinejs/csp";
import { ledger } from "../learning/ledger.js";
import { listen } from "../piece/listen.js";
import { plan } from "../planning/plan.js";
import { clips } from "../runs/clips.js";
import { stage } from "../spacing/stage.js";
import { steps } from "../steps/steps.js";
import { drafts } from "./drafts.js";
import { leaving } from "./leaving.js";
import { parts } from "./parts.js";

// Every page but the room's and a dancer's own.
leaving();
drafts.settle();
[parts, ledger, steps, stage, plan, clips, listen].forEach(each => each(Alpine));
Alpine.start();
