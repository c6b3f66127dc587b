package umbel.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Fifty phones that each send a visit about every three seconds for a minute, one in ten of them twice as after a lost answer;
 * then all are asked for again and counted.
 */
public final class PhonesTicking {

    private static final int PHONES = 50;
    private static final long MILLIS = 60_000;
    private static final long PAUSE = 3_000;
    private static final int FIRST_TREE = 2;
    private static final int TREES = 25;

    private PhonesTicking() {}

    /** Argument: the running demo's address, on this machine. */
    public static void main(String[] args) throws Exception {
        HttpClient http = HttpClient.newHttpClient();
        List<Long> millis = Collections.synchronizedList(new ArrayList<>());
        AtomicInteger acknowledged = new AtomicInteger();
        int before = count(http, args[0]);
        ExecutorService phones = Executors.newFixedThreadPool(PHONES);
        long end = System.currentTimeMillis() + MILLIS;
        for (int phone = 0; phone < PHONES; phone++) {
            int own = phone;
            phones.submit(() -> tick(http, args[0], own, end, millis, acknowledged));
        }
        phones.shutdown();
        phones.awaitTermination(2, TimeUnit.MINUTES);
        int kept = count(http, args[0]) - before;
        Collections.sort(millis);
        System.out.printf(
                Locale.ROOT,
                "%-58s %5d ms   aim 200 ms%n",
                "50 phones, " + acknowledged.get() + " visits in a minute, 95 % answered in",
                millis.get((int) (0.95 * (millis.size() - 1))));
        System.out.printf(
                Locale.ROOT, "%-58s %8d   aim 0%n", "visits lost or doubled", Math.abs(kept - acknowledged.get()));
    }

    private static void tick(
            HttpClient http, String url, int phone, long end, List<Long> millis, AtomicInteger acknowledged) {
        try {
            TimeUnit.MILLISECONDS.sleep(PAUSE * phone / PHONES);
            for (int visit = 0; System.currentTimeMillis() < end; visit++) {
                int tree = FIRST_TREE + (phone + visit) % TREES;
                String body = "{\"doneOn\":\"" + LocalDate.now() + "\",\"who\":\"phone " + phone
                        + "\",\"minutes\":4,\"clientId\":\"" + phone + "-" + visit
                        + "\",\"steps\":[{\"mark\":{\"operation\":\"watch\",\"limb\":\"trunk\"},\"title\":\"Look\",\"outcome\":\"as-planned\"}]}";
                for (int again = visit % 10 == 9 ? 2 : 1; again > 0; again--) {
                    long begun = System.nanoTime();
                    HttpResponse<String> answer = http.send(
                            HttpRequest.newBuilder(URI.create(url + "/api/trees/" + tree + "/records"))
                                    .header("Content-Type", "application/json")
                                    .POST(HttpRequest.BodyPublishers.ofString(body))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString());
                    millis.add((System.nanoTime() - begun) / 1_000_000);
                    boolean kept =
                            answer.statusCode() == 201 || answer.statusCode() == 200; // 200 where it was there already
                    if (kept && again == 1) {
                        acknowledged.incrementAndGet();
                    }
                }
                TimeUnit.MILLISECONDS.sleep(PAUSE);
            }
        } catch (IOException e) {
            System.err.println("phone " + phone + ": " + e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Visits of phones that are kept, over all trees. */
    private static int count(HttpClient http, String url) throws IOException, InterruptedException {
        int all = 0;
        for (int tree = FIRST_TREE; tree < FIRST_TREE + TREES; tree++) {
            String records = http.send(
                            HttpRequest.newBuilder(URI.create(url + "/api/trees/" + tree + "/records"))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
            all += records.split("\"who\":\"phone ", -1).length - 1;
        }
        return all;
    }
}
