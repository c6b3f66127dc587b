/** What the phone says, in the crew's languages. The sheets bring their own words for steps and cautions. */
export const FIELD_WORDS = {
  en: {
    rows: 'The row',
    nothing: 'Nothing is marked here. The foreman marks what is to be cut in the tree’s own page.',
    offline: 'No signal. What was opened before still works.',
    waiting: (count: number) => `${count} ${count === 1 ? 'visit waits' : 'visits wait'} for signal.`,
    sent: 'All is sent.',
    done: 'Done',
    undo: 'Not done',
    skip: 'Skip',
    why: 'Why is it skipped?',
    add: 'Cut something else too',
    addWhat: 'Which limb, and why',
    note: 'Note',
    who: 'Who',
    finish: 'Tree is done',
    handOver: 'Hand the rest over',
    left: (count: number) => `${count} ${count === 1 ? 'step' : 'steps'} not ticked yet`,
    saved: 'Kept.',
    heed: 'Heed',
    next: 'Next tree',
    back: 'The row',
    ground: 'ground',
    ladder: 'ladder',
    saw: 'saw',
    wide: 'Drawing',
  },
  es: {
    rows: 'La hilera',
    nothing: 'Aquí no hay nada marcado. El capataz marca lo que se corta en la página del árbol.',
    offline: 'Sin señal. Lo que se abrió antes sigue funcionando.',
    waiting: (count: number) => `${count} ${count === 1 ? 'visita espera' : 'visitas esperan'} señal.`,
    sent: 'Todo enviado.',
    done: 'Hecho',
    undo: 'No hecho',
    skip: 'Saltar',
    why: '¿Por qué se salta?',
    add: 'Cortar algo más',
    addWhat: 'Qué rama y por qué',
    note: 'Nota',
    who: 'Quién',
    finish: 'Árbol terminado',
    handOver: 'Dejar el resto',
    left: (count: number) => `${count} ${count === 1 ? 'paso' : 'pasos'} sin marcar`,
    saved: 'Guardado.',
    heed: 'Atención',
    next: 'Árbol siguiente',
    back: 'La hilera',
    ground: 'suelo',
    ladder: 'escalera',
    saw: 'serrucho',
    wide: 'Dibujo',
  },
};

export type FieldWords = (typeof FIELD_WORDS)['en'];

/** The words of a language; English where there are none. */
export function fieldWords(language: string): FieldWords {
  return language === 'es' ? FIELD_WORDS.es : FIELD_WORDS.en;
}
