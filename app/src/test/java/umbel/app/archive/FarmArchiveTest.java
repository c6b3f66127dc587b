package umbel.app.archive;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.RunningUmbel;
import umbel.app.photo.Pictures;

/** A farm taken out and in again is the same farm, with other numbers. */
class FarmArchiveTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String ZIP = "application/octet-stream";

    private static RunningUmbel umbel;

    /** A demo of its own: what is taken in stays. */
    @BeforeAll
    static void start() {
        umbel = RunningUmbel.another();
        String photo = "/api/trees/1/photos?clientId=taken-along&moment=seen&who=Ines";
        assertThat(umbel.send(photo, Pictures.jpeg(), "image/jpeg").status()).isEqualTo(201);
    }

    @AfterAll
    static void stop() {
        umbel.close();
    }

    private RunningUmbel.Answer takeIn(Map<String, byte[]> files) throws IOException {
        return umbel.takenIn(zip(files));
    }

    @Test
    void aFarmTakenOutAndInAgainIsTheSame() throws IOException {
        Map<String, byte[]> out = files(umbel.bytes("/api/farms/this/archive"));
        JsonNode about = JSON.readTree(out.get("umbel-farm.json"));
        assertThat(about.path("format").asString()).isEqualTo("umbel-farm/1");
        assertThat(about.path("photos").asInt()).isPositive();
        RunningUmbel.Answer taken = takeIn(out);
        assertThat(taken.json().path("state").asString()).as(taken.text()).isEqualTo("done");
        assertThat(taken.json().at("/rows/tree").asInt()).isPositive();
        assertThat(taken.json().path("done").asInt())
                .isEqualTo(taken.json().path("total").asInt())
                .isPositive();
        String code = taken.json().path("code").asString();
        assertThat(umbel.get("/farms/" + code + "/api/holding").json().path("trees"))
                .hasSameSizeAs(umbel.get("/api/holding").json().path("trees"));

        Map<String, byte[]> again = files(umbel.bytes("/farms/" + code + "/api/farms/this/archive"));
        for (String name : out.keySet()) {
            if (name.startsWith("tables/") && !name.matches(".*(audit_line|access_key|invitation|person).jsonl")) {
                assertThat(withoutNumbers(again.get(name))).as(name).isEqualTo(withoutNumbers(out.get(name)));
            }
            if (name.startsWith("photos/")) {
                assertThat(again.get(name)).as(name).isEqualTo(out.get(name));
            }
        }
        assertThat(text(out, "tables/person.jsonl")).doesNotContain("account", "password");
        assertThat(again.get("records.csv")).isNotEmpty();
    }

    @Test
    void anArchiveOfTheVersionBeforeIsTakenInWithWhatItLacksAsUsual() throws IOException {
        Map<String, byte[]> old = files(umbel.bytes("/api/farms/this/archive"));
        old.put(
                "umbel-farm.json",
                bytes(text(old, "umbel-farm.json").replaceFirst("\"schema\":\\d+", "\"schema\":20")));
        String visits = text(old, "tables/work_record.jsonl");
        assertThat(visits).contains("\"effects_due\"");
        old.put(
                "tables/work_record.jsonl",
                bytes(visits.replaceAll(",\"effects_due\":(true|false)", "")
                        .replaceAll("\"effects_due\":(true|false),", "")));
        assertThat(text(old, "tables/work_record.jsonl")).doesNotContain("effects_due");
        RunningUmbel.Answer taken = takeIn(old);
        assertThat(taken.json().path("state").asString()).as(taken.text()).isEqualTo("done");
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void whatIsNoArchiveIsRefusedAndLeavesNoFarmBehind() throws Exception {
        int before = farms();
        Map<String, byte[]> whole = files(umbel.bytes("/api/farms/this/archive"));
        assertThat(umbel.send("/api/farms/archive", "no zip".getBytes(StandardCharsets.UTF_8), ZIP)
                        .json()
                        .path("code")
                        .asString())
                .isEqualTo("problem.archive-foreign");
        assertThat(refused(whole, "umbel-farm.json", "{\"format\":\"another/1\"}"))
                .isEqualTo("problem.archive-foreign");
        assertThat(refused(
                        whole,
                        "umbel-farm.json",
                        text(whole, "umbel-farm.json").replaceFirst("\"schema\":\\d+", "\"schema\":999")))
                .isEqualTo("problem.archive-newer");
        String trees = text(whole, "tables/tree.jsonl");
        assertThat(failed(whole, "tables/tree.jsonl", trees.substring(trees.indexOf('\n') + 1)))
                .as("a row is missing")
                .startsWith("This archive is damaged");
        assertThat(failed(whole, "tables/tree.jsonl", trees.replaceFirst("\"block_id\":\\d+", "\"block_id\":1e9")))
                .as("a block that did not come along: it might be another farm's")
                .startsWith("This archive is damaged");
        assertThat(failed(whole, "tables/tree.jsonl", trees.replaceFirst("\"label\"", "\"farm_id\":1,\"label\"")))
                .as("a farm of its own choosing")
                .startsWith("This archive is damaged");
        String surveys = text(whole, "tables/survey.jsonl");
        assertThat(failed(whole, "tables/survey.jsonl", surveys.replaceFirst("umbel-survey/1", "umbel-survey/9")))
                .as("a survey that is none")
                .startsWith("This archive is damaged");
        String photo = whole.keySet().stream()
                .filter(name -> name.startsWith("photos/"))
                .findFirst()
                .orElseThrow();
        assertThat(failed(whole, photo, "another picture")).startsWith("This archive is damaged");
        for (int times = 0; times < 100 && farms() > before; times++) {
            Thread.sleep(50); // the farm is taken away after it is told that nothing came of it
        }
        assertThat(farms()).isEqualTo(before);
    }

    private static int farms() {
        return umbel.get("/api/farms").json().size();
    }

    /** Why an archive with one file changed is refused at once. */
    private String refused(Map<String, byte[]> whole, String name, String text) throws IOException {
        RunningUmbel.Answer refused = taken(whole, name, text);
        assertThat(refused.status()).as(name + " " + refused.text()).isEqualTo(400);
        return refused.json().path("code").asString();
    }

    /** Why an archive with one file changed was not taken in. */
    private String failed(Map<String, byte[]> whole, String name, String text) throws IOException {
        RunningUmbel.Answer failed = taken(whole, name, text);
        assertThat(failed.json().path("state").asString())
                .as(name + " " + failed.text())
                .isEqualTo("failed");
        assertThat(failed.json().path("code").asString()).isEmpty();
        return failed.json().path("problem").asString();
    }

    private RunningUmbel.Answer taken(Map<String, byte[]> whole, String name, String text) throws IOException {
        Map<String, byte[]> changed = new LinkedHashMap<>(whole);
        changed.put(name, text.getBytes(StandardCharsets.UTF_8));
        return takeIn(changed);
    }

    private static String text(Map<String, byte[]> files, String name) {
        return new String(files.get(name), StandardCharsets.UTF_8);
    }

    /** The lines of a table without the numbers of rows, which differ from one installation to another. */
    private static String withoutNumbers(byte[] table) {
        return new String(table, StandardCharsets.UTF_8)
                .replaceAll("\"(id|[a-z_]+_id)\":\\d+", "")
                .replaceAll("\\\\?\"treeId\\\\?\" ?: ?\\d+", "")
                .replaceAll("\"exercise\":\"tree-\\d+\"", "");
    }

    private static Map<String, byte[]> files(byte[] zip) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                files.put(entry.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    private static byte[] zip(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                out.putNextEntry(new ZipEntry(file.getKey()));
                out.write(file.getValue());
                out.closeEntry();
            }
        }
        return bytes.toByteArray();
    }
}
