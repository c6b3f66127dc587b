package umbel.app.computing;

import umbel.app.http.NobodyWaits;

/** Whoever asked has closed the connection. */
final class CallerGone extends NobodyWaits {

    private static final long serialVersionUID = 1L;
}
