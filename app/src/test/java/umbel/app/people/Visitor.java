package umbel.app.people;

import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Optional;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody with a browser of their own. */
public final class Visitor {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Supplier<String> url;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    public Visitor(Supplier<String> url) {
        this.url = url;
    }

    public HttpResponse<String> ask(String method, String path, String body, String... headers) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(url.get() + path))
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .header("Content-Type", "application/json");
        token().ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        for (int i = 0; i < headers.length; i += 2) {
            request.setHeader(headers[i], headers[i + 1]);
        }
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private Optional<String> token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst();
    }

    public int status(String method, String path, String body) throws Exception {
        return ask(method, path, body).statusCode();
    }

    /** Sends a file as it is, and gives the answer's text. */
    public String send(String path, byte[] file, String type) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(url.get() + path))
                .POST(HttpRequest.BodyPublishers.ofByteArray(file))
                .header("Content-Type", type);
        token().ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString()).body();
    }

    /** A text as JSON. */
    public static JsonNode read(String text) {
        return JSON.readTree(text);
    }

    public JsonNode json(String path) throws Exception {
        return JSON.readTree(ask("GET", path, "").body());
    }

    public Visitor signIn(String login, String password) throws Exception {
        ask("GET", "/api/session", "");
        ask("POST", "/api/session", "{\"login\":\"" + login + "\",\"password\":\"" + password + "\"}");
        ask("GET", "/api/session", "");
        return this;
    }
}
