package umbel.app.answer;

/** How much an answer takes that is kept, letters. */
record AnswerSize(long id, int size) {}
