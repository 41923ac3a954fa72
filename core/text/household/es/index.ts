import type { SheetFact } from "@/core/handover";
import { lowerFirst, upperFirst } from "../../names";
import { byUses } from "../by-uses";
import type { SheetWords } from "../sheet-words";
import { parts } from "./parts";

const { listed } = parts;

const byThemselves = (devices: readonly string[]): string =>
  `${listed(devices)} se ${devices.length === 1 ? "enciende solo" : "encienden solos"}.`;

const seconds = (count: number): string => `${count} ${count === 1 ? "segundo" : "segundos"}`;

const STAYS = {
  "passes-sound": "El sonido pasa por ahí",
  "passes-picture": "La imagen pasa por ahí",
  plays: "De ahí viene el sonido",
} as const;

const UNTIL = { picture: "ver la imagen", sound: "oír", both: "ver y oír" } as const;

function line(fact: SheetFact): string {
  switch (fact.says) {
    case "use":
      return byUses(parts, fact.players, "con");
    case "also-on":
      return `Para ver también en ${fact.screen}`;
    case "press":
      return parts.press(fact.press);
    case "press-own-power":
      return "Pulse la tecla de encendido del aparato que quiera.";
    case "wakes":
      return [
        ...(fact.devices.length ? [byThemselves(fact.devices)] : []),
        ...(fact.seconds === null ? [] : [`Espere unos ${seconds(fact.seconds)} hasta ${UNTIL[fact.until]}.`]),
      ].join(" ");
    case "volume":
      return `Volumen${fact.players ? `, ${lowerFirst(byUses(parts, fact.players, "con"))}` : ""}: ${fact.by === "knob" ? "gire el botón" : "las teclas del mando"} de ${fact.device}.`;
    case "off":
      return `Apagar: ${lowerFirst(parts.press(fact.press))}${fact.stays.length ? ` Después apague también ${listed(fact.stays)}.` : " Se apaga todo."}`;
    case "follows":
      return `En ${fact.system} no hay que elegir nada. Cambia solo.`;
    case "stays-at":
      return `Deje ${fact.system} en la entrada «${fact.input}».`;
    case "choose":
      return `Para ${listed(fact.players)} elija «${fact.input}» en ${fact.on}.`;
    case "display":
      return `Con ${listed(fact.players)}, la pantalla de ${fact.system} dice «${fact.words}» si el título tiene sonido envolvente.${fact.height ? " Entonces también suena desde arriba." : ""}`;
    case "not-expected":
      return `${byUses(parts, fact.players, "con")}: ${fact.isSome ? "con algunos títulos " : ""}${parts.missing[fact.missing]}.${fact.cause ? ` ${upperFirst(parts.cause(fact.cause))}` : ""} ${fact.missing === "sound" || fact.missing === "picture" ? "Su instalador lo sabe." : "No es una avería."}`;
    case "lamp-unit":
      return `${upperFirst(fact.unit)}: luz fija, está listo. Luz que parpadea, ha perdido la conexión.`;
    case "lamp-box":
      return `${fact.device}: su luz debe estar encendida.${fact.searches ? " Parpadea mientras busca la pantalla." : ""}`;
    case "charge":
      return fact.everyDays === null
        ? `${upperFirst(fact.unit)}: suena ${fact.hours} horas y carga en ${fact.chargeHours}. Después de usarlo, póngalo en su propio cargador.`
        : fact.everyDays < 1
          ? `${upperFirst(fact.unit)}: póngalo en su propio cargador después de cada película.`
          : `${upperFirst(fact.unit)}: cárguelo cada ${fact.everyDays === 1 ? "día" : `${fact.everyDays} días`}, durante ${fact.chargeHours} horas. Use su propio cargador.`;
    case "speech-order":
      return "Pruebe un paso. Siga con el próximo solo si no basta.";
    case "speech":
      switch (fact.act) {
        case "voice-mode":
          return `Active el modo de voz de ${fact.device}. Para deshacerlo, desactívelo.`;
        case "centre-up":
          return `Suba ${fact.steps} puntos el altavoz central de ${fact.device}. Para deshacerlo, bájelo igual.`;
        case "bass-down":
          return `Baje ${fact.steps} puntos los graves de ${fact.device}. Para deshacerlo, súbalos igual.`;
        case "heights-down":
          return `Baje ${fact.steps} puntos los altavoces de arriba de ${fact.device}. Para deshacerlo, súbalos igual.`;
        case "surrounds-down":
          return `Baje ${fact.steps} puntos los altavoces de atrás de ${fact.device}. Para deshacerlo, súbalos igual.`;
      }
    // falls through
    case "stays-on":
      return `Deje ${listed(fact.devices)} siempre con corriente. ${STAYS[fact.does]}.`;
    case "control-stays":
      return `Deje activado «HDMI control» en los menús de ${listed(fact.devices)}. Lo necesita el sonido de ${listed(fact.sound)}.`;
    case "check":
      return parts.check(fact.check);
    case "call":
      return fact.firm || fact.phone
        ? `¿Sigue sin sonido? Llame a ${[fact.firm, fact.phone].filter(Boolean).join(", ")}.`
        : "¿Sigue sin sonido? Llame a su instalador.";
  }
}

/** Spanish. */
export const es: SheetWords = {
  name: "Español",
  tag: "es",
  title: (room) => `Cómo se usa: ${room}`,
  headings: {
    use: "Ver, jugar, escuchar",
    silent: "¿No hay sonido? Pruebe en este orden",
    sound: "En el equipo de sonido",
    surround: "Sonido envolvente: qué esperar",
    speech: "Si cuesta entender las voces",
    lamps: "Luces",
    charging: "Cargar",
    "stays-on": "Deje esto encendido",
  },
  line,
  madeBy: (firm, date) => [firm, date].filter(Boolean).join(", "),
  missingLetters: (count) => `[${count} ${count === 1 ? "letra" : "letras"} fuera de esta fuente]`,
  missingNote: "Algunos nombres tienen letras que esta fuente impresa no tiene. El archivo del trabajo los guarda enteros.",
  page: (page, of) => `Página ${page} de ${of}`,
};
