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
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Two hundred farms of one installation, each like the demo; a hundred people look at theirs and tick trees at once: a minute every three
 * seconds, which is many times what anybody does at a tree, and a minute every second, after one and a half that are not counted, in which
 * the program is compiled for this.
 */
public final class ManyFarms {

    private static final int FARMS = 200;
    private static final int PEOPLE = 100;
    private static final long FIRST_MILLIS = 90_000;
    private static final long MILLIS = 60_000;
    private static final long QUICK = 1_000;
    private static final long SLOWER = 3_000;
    private static final long LOOK_EVERY = 50;
    private static final Pattern CODE = Pattern.compile("\"code\":\"([a-z0-9]+)\"");
    private static final Pattern JOB = Pattern.compile("\"job\":(\\d+)");
    private static final Pattern TREE = Pattern.compile("\"id\":(\\d+),\"blockId\"");

    private ManyFarms() {}

    /** Argument: the running demo's address, on this machine. */
    public static void main(String[] args) throws Exception {
        HttpClient http = HttpClient.newHttpClient();
        byte[] archive = http.send(
                        HttpRequest.newBuilder(URI.create(args[0] + "/api/farms/this/archive"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        long begun = System.nanoTime();
        List<String> farms = new ArrayList<>();
        while (farms.size() < FARMS - 1) {
            farms.add(takeIn(http, args[0], archive));
        }
        System.out.printf(
                Locale.ROOT,
                "%-58s %5d ms%n",
                "a farm taken in from its archive of " + archive.length / 1000 + " kB (mean of " + farms.size() + ")",
                (System.nanoTime() - begun) / 1_000_000 / farms.size());
        AtomicInteger refused = new AtomicInteger();
        ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
        long start = System.currentTimeMillis();
        List<Phase> phases = List.of(
                new Phase(QUICK, start + FIRST_MILLIS),
                new Phase(SLOWER, start + FIRST_MILLIS + MILLIS),
                new Phase(QUICK, start + FIRST_MILLIS + 2 * MILLIS));
        for (int person = 0; person < PEOPLE; person++) {
            int own = person;
            String farm = args[0] + "/farms/" + farms.get(2 * person % farms.size());
            people.submit(() -> work(http, farm, own, phases, refused));
        }
        people.shutdown();
        people.awaitTermination(5, TimeUnit.MINUTES);
        for (Phase phase : phases.subList(1, phases.size())) {
            print(
                    PEOPLE + " people in " + FARMS + " farms, each every " + phase.pause() / 1000 + " s: "
                            + phase.looks().size() + " looks, 95 % in",
                    phase.looks());
            print("  and " + phase.ticks().size() + " ticks, 95 % in", phase.ticks());
        }
        System.out.printf(Locale.ROOT, "%-58s %8d   aim 0%n", "  refused or lost", refused.get());
    }

    /**
     * A time in which everybody works at the same pace.
     *
     * @param pause between a look with its tick and the next, milliseconds
     * @param until when it ends, as the clock's milliseconds
     * @param looks how long each look took, milliseconds; likewise ticks
     */
    private record Phase(long pause, long until, List<Long> looks, List<Long> ticks) {

        Phase(long pause, long until) {
            this(
                    pause,
                    until,
                    Collections.synchronizedList(new ArrayList<>()),
                    Collections.synchronizedList(new ArrayList<>()));
        }
    }

    private static void print(String what, List<Long> millis) {
        Collections.sort(millis);
        System.out.printf(
                Locale.ROOT, "%-58s %5d ms   aim 300 ms%n", what, millis.get((int) (0.95 * (millis.size() - 1))));
    }

    private static String takeIn(HttpClient http, String url, byte[] archive) throws IOException, InterruptedException {
        String taken = http.send(
                        HttpRequest.newBuilder(URI.create(url + "/api/farms/archive"))
                                .header("Content-Type", "application/octet-stream")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(archive))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        Matcher job = JOB.matcher(taken);
        while (taken.contains("\"running\"") && job.find(0)) {
            TimeUnit.MILLISECONDS.sleep(LOOK_EVERY);
            taken = ask(http, url + "/api/farms/archive/" + job.group(1), null).body();
        }
        Matcher code = CODE.matcher(taken);
        if (!code.find()) {
            throw new IllegalStateException(taken);
        }
        return code.group(1);
    }

    private static void work(HttpClient http, String farm, int person, List<Phase> phases, AtomicInteger refused) {
        try {
            TimeUnit.MILLISECONDS.sleep(QUICK * person / PEOPLE);
            List<String> trees = new ArrayList<>();
            Matcher tree = TREE.matcher(ask(http, farm + "/api/holding", null).body());
            while (tree.find()) {
                trees.add(tree.group(1));
            }
            String[] pages = {"/api/field", "/api/follow-ups", "/api/holding", "/api/blocks"};
            int visit = 0;
            for (Phase phase : phases) {
                // not all at the same moment
                TimeUnit.MILLISECONDS.sleep((phase.pause() - QUICK) * person / PEOPLE);
                while (System.currentTimeMillis() < phase.until()) {
                    look(http, farm + pages[visit % pages.length], null, phase.looks(), refused);
                    String body = "{\"doneOn\":\"" + LocalDate.now() + "\",\"who\":\"person " + person
                            + "\",\"minutes\":4,\"clientId\":\"" + person + "-" + visit
                            + "\",\"steps\":[{\"mark\":{\"operation\":\"watch\",\"limb\":\"trunk\"},\"title\":\"Look\",\"outcome\":\"as-planned\"}]}";
                    String at = trees.get((person + visit) % trees.size());
                    look(http, farm + "/api/trees/" + at + "/records", body, phase.ticks(), refused);
                    TimeUnit.MILLISECONDS.sleep(phase.pause());
                    visit++;
                }
            }
        } catch (IOException e) {
            System.err.println("person " + person + ": " + e);
            refused.incrementAndGet();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void look(HttpClient http, String address, String body, List<Long> millis, AtomicInteger refused)
            throws IOException, InterruptedException {
        long begun = System.nanoTime();
        HttpResponse<String> answer = ask(http, address, body);
        millis.add((System.nanoTime() - begun) / 1_000_000);
        if (answer.statusCode() >= 400) {
            System.err.println(answer.statusCode() + " " + address + " " + answer.body());
            refused.incrementAndGet();
        }
    }

    private static HttpResponse<String> ask(HttpClient http, String address, String body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(address)).header("Content-Type", "application/json");
        return http.send(
                body == null
                        ? request.build()
                        : request.POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
