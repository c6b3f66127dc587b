package umbel.app.answer;

import umbel.text.Speech;
import umbel.text.UnitSystem;

/** A language and a system of units in which somebody was answered. */
record SpeechUsed(String language, String units) {

    Speech speech() {
        return Speech.of(language, UnitSystem.valueOf(units));
    }
}
