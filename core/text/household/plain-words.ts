/** Words of the trade that a household does not know, in English and Spanish alike; in quotes they are a print on a device. */
const TRADE_TERMS = [
  ...["eARC", "ARC", "CEC", "EDID", "HDCP", "PCM", "LPCM", "MAT", "bitstream", "codec", "coding", "downmix", "upmix"],
  ...["handshake", "firmware", "latency", "lip sync", "return channel", "logical address", "extractor", "decode", "decoder"],
  ...["HDR", "TMDS", "FRL", "LFE", "dB", "trim", "crossover", "passthrough", "pass-through", "standby", "lossless", "lossy"],
  ...["códec", "flujo de bits", "canal de retorno", "latencia", "decodificador", "descodificador", "espera activa"],
] as const;

/** A sentence is easy to read up to so many words. */
const MOST_WORDS = 22;

/** What makes a text hard to read for somebody without the trade. */
export type PlainWordsTrouble =
  { readonly trouble: "long"; readonly sentence: string; readonly words: number } | { readonly trouble: "term"; readonly term: string };

/** What is printed on a device stands in quotes, and may be any word. */
const withoutPrints = (text: string): string => text.replace(/“[^”]*”|«[^»]*»/g, "“”");

/** Whether a household can read a text: short sentences, and no term of the trade but as a print in quotes. */
export function plainWordsTroubles(text: string): readonly PlainWordsTrouble[] {
  const own = withoutPrints(text);
  const sentences = own.split(/(?<=[.!?:;])\s+/).filter(Boolean);
  return [
    ...sentences.flatMap((sentence): PlainWordsTrouble[] => {
      const words = sentence.split(/\s+/).length;
      return words > MOST_WORDS ? [{ trouble: "long", sentence, words }] : [];
    }),
    ...TRADE_TERMS.flatMap((term): PlainWordsTrouble[] =>
      new RegExp(`(?<![\\p{L}\\p{N}])${term}(?![\\p{L}\\p{N}])`, term === term.toLowerCase() ? "iu" : "u").test(own)
        ? [{ trouble: "term", term }]
        : [],
    ),
  ];
}
