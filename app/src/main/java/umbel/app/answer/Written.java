package umbel.app.answer;

import com.fasterxml.jackson.annotation.JsonRawValue;
import com.fasterxml.jackson.annotation.JsonValue;

/**
 * A part of an answer, or the whole of it, that is in JSON already; it is sent as it stands.
 *
 * @param json on one line
 * @param <T> what it tells
 */
public record Written<T>(@JsonValue @JsonRawValue String json) {}
