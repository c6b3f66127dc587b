package umbel.app.computing;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.util.function.BooleanSupplier;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;
import umbel.app.http.BodyLimit;

/**
 * Lets a request that waits for its answer see whether its caller has closed the connection. The server tells nobody of itself;
 * here it is asked, from the request's own thread, whether anything came over the connection: the end of it counts as
 * something. It also lets a body be dropped that nobody reads, for which the server would wait.
 */
@Component
class CallerPresence implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    /** The request attribute that tells, as a {@link BooleanSupplier}. */
    static final String GONE = "umbel.caller-gone";

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addEngineValves(new Watch());
    }

    private static final class Watch extends ValveBase {

        Watch() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            request.setAttribute(GONE, (BooleanSupplier) () -> gone(request.getCoyoteRequest()));
            request.setAttribute(BodyLimit.DROP, (Runnable)
                    () -> request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null));
            getNext().invoke(request, response);
        }

        private static boolean gone(org.apache.coyote.Request request) {
            request.action(ActionCode.AVAILABLE, Boolean.TRUE);
            return request.getAvailable() > 0;
        }
    }
}
