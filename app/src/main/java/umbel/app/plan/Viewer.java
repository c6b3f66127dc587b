package umbel.app.plan;

import umbel.app.people.Role;
import umbel.app.people.SignedIn;

/**
 * Who looks at a tree.
 *
 * @param adviser whether what they mark is a suggestion
 */
record Viewer(String name, boolean adviser) {

    /** Whoever is signed in. */
    static Viewer here() {
        return new Viewer(SignedIn.name(), SignedIn.is(Role.ADVISER));
    }
}
