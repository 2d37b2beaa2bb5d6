/** Beginnings of the names of instruments, in the languages scores are printed in, without accents. */
const stems = [
  // Keys.
  ...['piano', 'pno', 'klavier', 'klaver', 'keyboard', 'tastiera', 'teclado', 'fortepian'],
  ...['zongora', 'organ', 'orgel', 'orgue', 'orgona', 'urut', 'harmonium', 'cembalo', 'clavi'],
  ...['klavecimbel', 'clavecin', 'harpsichord', 'spinet', 'celest', 'accordion', 'accordeon'],
  ...['akkordeon', 'akordeon', 'fisarmonica', 'trekkspill', 'dragspel', 'haitari', 'harmoni'],
  ...['bandoneon', 'melodica', 'synth', 'pad', 'reduction', 'reduktion', 'reduccion', 'riduzione'],
  ...['accomp', 'begleit', 'rehearsal'],
  // Strings.
  ...['guitar', 'gitar', 'gitaar', 'chitarra', 'kitara', 'ukulele', 'banjo', 'mandolin', 'laute'],
  ...['lute', 'theorb', 'harp', 'harf', 'arpa', 'harppu', 'kantele', 'zither', 'violin', 'viola'],
  ...[
    'violon',
    'violino',
    'geige',
    'bratsch',
    'bratsj',
    'viool',
    'altviool',
    'viulu',
    'altto?viulu',
  ],
  ...['fiolin', 'fiddle', 'skrzypce', 'altowka', 'wiolonczel', 'hegedu', 'melyhegedu', 'bracsa'],
  ...['cello', 'sello', 'csello', 'gordonka', 'nagybogo', 'kontrabas', 'contrabas', 'contrabbass'],
  ...['contrebass', 'contrabaj', 'gamba', 'continuo', 'strings', 'streicher', 'string'],
  // Winds.
  ...[
    'flut',
    'flaut',
    'flot',
    'floyt',
    'fluit',
    'huilu',
    'flet',
    'fuvola',
    'piccolo',
    'oboe',
    'obo',
  ],
  ...['hobo', 'hautbois', 'clarinet', 'klarin', 'klarnet', 'bassoon', 'contrabassoon', 'fagot'],
  ...['basson', 'horn', 'hoorn', 'corno', 'cornet', 'kornett', 'trumpet', 'trompet', 'tromba'],
  ...['trombita', 'trabka', 'trombon', 'posaune', 'pasuuna', 'basun', 'puzon', 'harsona', 'tuba'],
  ...['euphonium', 'flugelhorn', 'sax', 'recorder', 'blockflot', 'whistle', 'brass', 'blaser'],
  ...['woodwind', 'winds', 'bagpipe', 'basset'],
  // Struck.
  ...['timpani', 'timbal', 'pauken', 'kotly', 'ustdob', 'drum', 'tamb', 'percussion', 'percusion'],
  ...['perkus', 'schlagzeug', 'slagverk', 'slagwerk', 'batterie', 'lyomasoit', 'marimba', 'xylo'],
  ...['vibra', 'glock', 'handbell', 'bell', 'chime', 'triangle', 'cymbal', 'gong', 'cajon'],
  ...['djembe', 'bodhran', 'castanet', 'metronom', 'clap', 'tab', 'tabulat', 'chords'],
];
const stem = new RegExp(`^(${stems.join('|')})`);
/** Short names, and words that only as a whole are an instrument's. */
const whole =
  /^(org|vln|vl|vla|vc|vlc|cb|db|fl|ob|cl|fg|hn|tpt|tbn|perc|cor|rog|kurt|bc|gtr|koto|sitar)$/;
/** «String bass», «bass guitar», «tenor drum»: what is a voice only by itself. */
const besideBass =
  /^(electric|acoustic|upright|double|fretless|slap|ebass|plucked|guitarron|kick)$/;

/** Whether the plain words of a staff's name say that an instrument plays it. */
export function isInstrument(words: readonly string[]): boolean {
  if (words.some((word) => stem.test(word) || whole.test(word))) return true;
  const hasBass = words.some((word) => /^(bass|basso|bas|bajo|basse)$/.test(word));
  // «E-Bass»; between two parts «e» is «and».
  return hasBass && (words[0] === 'e' || words.some((word) => besideBass.test(word)));
}
