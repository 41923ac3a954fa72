import type { PlainCause, SheetCheck, SheetPress } from "@/core/handover";
import type { SheetParts } from "../sheet-words";

/** "a", "a y b", "a, b y c"; before the sound of i it is "e". */
function listed(names: readonly string[]): string {
  const last = names.at(-1) ?? "";
  if (names.length < 2) return last;
  const and = /^h?i(?![ae])/i.test(last) ? "e" : "y";
  return `${names.slice(0, -1).join(", ")} ${and} ${last}`;
}

function press(given: SheetPress): string {
  const { device } = given;
  switch (given.key) {
    case "power":
      return given.hasRemote ? `Pulse la tecla de encendido del mando de ${device}.` : `Pulse la tecla de encendido de ${device}.`;
    case "volume-up":
      return `Pulse subir volumen en el mando de ${device}.`;
    case "volume-down":
      return `Pulse bajar volumen en el mando de ${device}.`;
    case "mute":
      return `Pulse silencio en el mando de ${device}.`;
    case "return":
      return `Pulse en ${device} la tecla del sonido de la televisión.`;
    case "input":
      return given.input === null
        ? `En ${device} elija sus propias aplicaciones o canales.`
        : `En ${device} elija la entrada «${given.input}».`;
  }
}

function cause(given: PlainCause): string {
  switch (given.because) {
    case "device":
      return `${given.device} no lo deja pasar.`;
    case "speakers":
      return `${given.device} no está hecho para eso.`;
    case "cable":
      return "El cable no lo transporta.";
    case "setting":
      return `Un menú de ${given.device} está ajustado así.`;
    case "connection":
      return "La conexión es demasiado pequeña para eso.";
    case "not-connected":
      return `${given.device} no tiene conexión para eso.`;
    case "service":
      return `${given.device} envía otro tipo de sonido.`;
  }
}

function check(given: SheetCheck): string {
  switch (given.check) {
    case "power-on":
      return `¿Está encendido ${given.device}? Pulse una vez su tecla de encendido.`;
    case "mute":
      return `¿Está ${given.device} en silencio? Pulse una vez la tecla de silencio.`;
    case "louder":
      return `Suba un poco el volumen de ${given.device}.`;
    case "mains":
      return `¿Hay corriente? Mire el enchufe y la luz de ${listed(given.devices)}.`;
    case "own-key":
      return `Apague y encienda ${given.device} con la tecla de su frente. Espere 20 segundos.`;
    case "restart":
      return `Apague ${given.device}, desenchúfelo medio minuto y enciéndalo otra vez.`;
    case "unpair":
      return `¿Hay auriculares conectados a ${given.device}? Apáguelos.`;
    case "other-title":
      return `Ponga otra cosa en ${given.device}.`;
    case "input":
      return given.input === null
        ? `${given.device} debe mostrar sus propias aplicaciones o canales. Si no, elíjalos.`
        : `${given.device} debe estar en la entrada «${given.input}». Si no, elíjala.`;
    case "menu":
      return `En el menú de ${given.device}, «${given.menu}» debe estar en «${given.value}».`;
    case "plug":
      return `Empuje hasta el fondo el conector de «${given.socket}» de ${given.device}.`;
    case "charge":
      return `Ponga a cargar: ${given.unit}.`;
    case "place":
      return `Devuelva a su sitio: ${given.unit}.`;
  }
}

export const parts: SheetParts = {
  listed,
  press,
  cause,
  check,
  uses: { tv: "televisión", film: "películas", game: "juegos", music: "música" },
  missing: {
    sound: "el equipo de sonido no suena",
    picture: "no hay imagen",
    surround: "el sonido viene solo de delante",
    height: "no hay sonido desde arriba",
    "some-speakers": "tiene sonido para más altavoces de los que hay aquí",
  },
};
