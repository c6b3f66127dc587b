package umbel.app.answer;

/** How much an answer takes that is kept, characters. */
record AnswerSize(long id, int size) {}
