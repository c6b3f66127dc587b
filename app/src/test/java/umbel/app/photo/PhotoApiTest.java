package umbel.app.photo;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import umbel.app.RunningUmbel;
import umbel.app.UmbelSettings;

@ExtendWith(RunningUmbel.class)
class PhotoApiTest {

    private static final long TREE = 21;

    private final RunningUmbel umbel;

    PhotoApiTest(RunningUmbel umbel) {
        this.umbel = umbel;
    }

    private static String path(long tree) {
        return "/api/trees/" + tree + "/photos";
    }

    private static String asked(long tree, String clientId, String more) {
        return path(tree) + "?clientId=" + clientId + "&takenOn="
                + LocalDate.now().minusDays(1) + "&moment=before&who=Ines" + more;
    }

    private static String newId() {
        return UUID.randomUUID().toString();
    }

    private JsonNode kept(byte[] file, String type) {
        RunningUmbel.Answer answer = umbel.send(asked(TREE, newId(), ""), file, type);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return answer.json();
    }

    private byte[] picture(JsonNode line) {
        return umbel.bytes(path(TREE) + "/" + line.path("id").asLong());
    }

    private static BufferedImage read(byte[] file) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(file));
    }

    private static boolean isRed(BufferedImage image, int x, int y) {
        Color colour = new Color(image.getRGB(x, y));
        return colour.getRed() > 200 && colour.getBlue() < 60;
    }

    private long files() throws IOException {
        Path folder = umbel.part(UmbelSettings.class).data().resolve(PhotoFiles.FOLDER);
        try (Stream<Path> all = Files.isDirectory(folder) ? Files.list(folder) : Stream.empty()) {
            return all.count();
        }
    }

    @Test
    void itIsTurnedUprightAndTellsNothingOfTheCamera() throws IOException {
        byte[] sent = Pictures.jpegHeld(6, Pictures.redLeftBlueRight(80, 40));
        assertThat(new String(sent, StandardCharsets.ISO_8859_1)).contains(Pictures.CAMERA);
        JsonNode line = kept(sent, "image/jpeg");
        assertThat(line.path("width").asInt()).isEqualTo(40);
        assertThat(line.path("height").asInt()).isEqualTo(80);
        byte[] shown = picture(line);
        assertThat(new String(shown, StandardCharsets.ISO_8859_1)).doesNotContain(Pictures.CAMERA, "Exif");
        BufferedImage upright = read(shown);
        assertThat(isRed(upright, 20, 8))
                .as("a camera held a quarter turn: its left is the top")
                .isTrue();
        assertThat(isRed(upright, 20, 72)).isFalse();
    }

    @Test
    void aLargeOneIsScaledDownAndASmallOneIsNotScaledUp() throws IOException {
        JsonNode large = kept(Pictures.file(Pictures.redLeftBlueRight(5000, 2500), "png"), "image/png");
        assertThat(large.path("width").asInt()).isEqualTo(1600);
        assertThat(large.path("height").asInt()).isEqualTo(800);
        BufferedImage shown = read(picture(large));
        assertThat(shown.getWidth()).isEqualTo(1600);
        assertThat(isRed(shown, 700, 400)).isTrue();
        assertThat(isRed(shown, 900, 400)).isFalse();
        assertThat(kept(Pictures.file(Pictures.redLeftBlueRight(30, 20), "png"), "image/png")
                        .path("width")
                        .asInt())
                .isEqualTo(30);
    }

    @Test
    void whatCanBeSeenThroughIsShownOnWhite() throws IOException {
        JsonNode line = kept(Pictures.file(new BufferedImage(40, 40, BufferedImage.TYPE_INT_ARGB), "png"), "image/png");
        assertThat(new Color(read(picture(line)).getRGB(20, 20))).isEqualTo(Color.WHITE);
    }

    @Test
    void whatIsNoPictureOrTooLargeIsRefusedAndLeavesNothing() throws IOException {
        long before = files();
        byte[] text = "no picture at all".getBytes(StandardCharsets.UTF_8);
        byte[] broken = Arrays.copyOf(Pictures.jpeg(), 30);
        byte[] gif = Pictures.file(Pictures.redLeftBlueRight(8, 8), "gif");
        for (byte[] file : List.of(text, broken, gif)) {
            RunningUmbel.Answer answer = umbel.send(asked(TREE, newId(), ""), file, "image/jpeg");
            assertThat(answer.status()).as(answer.text()).isEqualTo(422);
            assertThat(answer.json().path("detail").asString()).contains("JPEG or PNG");
        }
        RunningUmbel.Answer bomb = umbel.send(asked(TREE, newId(), ""), Pictures.claiming(40_000, 40_000), "image/png");
        assertThat(bomb.status()).as(bomb.text()).isEqualTo(413);
        RunningUmbel.Answer json = umbel.post(asked(TREE, newId(), ""), "{}");
        assertThat(json.status()).isEqualTo(415);
        assertThat(json.json().path("detail").asString()).contains("image/jpeg").contains("image/png");
        assertThat(files()).isEqualTo(before);
    }

    @Test
    void whatIsSaidAboutItIsCheckedByField() {
        RunningUmbel.Answer future = umbel.send(
                path(TREE) + "?clientId=" + newId() + "&takenOn="
                        + LocalDate.now().plusDays(3) + "&moment=seen&who=Ines",
                Pictures.jpeg(),
                "image/jpeg");
        assertThat(future.status()).isEqualTo(400);
        assertThat(future.json().at("/errors/0/field").asString()).isEqualTo("takenOn");
        RunningUmbel.Answer wrong = umbel.send(
                path(TREE) + "?clientId=&takenOn=2026-01-10&moment=during&who=", Pictures.jpeg(), "image/jpeg");
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.text()).contains("clientId", "moment", "who");
    }

    @Test
    void theSameSentAgainAndAtOnceIsKeptOnce() throws Exception {
        int before = umbel.get(path(TREE)).json().size();
        String id = newId();
        ExecutorService phones = Executors.newFixedThreadPool(6);
        Callable<Integer> sending = () ->
                umbel.send(asked(TREE, id, ""), Pictures.jpeg(), "image/jpeg").status();
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> answer : phones.invokeAll(Collections.nCopies(12, sending))) {
            answers.add(answer.get());
        }
        phones.shutdown();
        assertThat(answers).containsOnlyOnce(201).containsOnly(200, 201);
        assertThat(umbel.get(path(TREE)).json().size()).isEqualTo(before + 1);
        RunningUmbel.Answer elsewhere = umbel.send(asked(TREE + 1, id, ""), Pictures.jpeg(), "image/jpeg");
        assertThat(elsewhere.status()).isEqualTo(409);
    }

    @Test
    void itBelongsToItsVisitWhicheverArrivesFirst() {
        String visit = newId();
        RunningUmbel.Answer first = umbel.send(asked(TREE, newId(), "&visit=" + visit), Pictures.jpeg(), "image/jpeg");
        assertThat(first.json().path("recordId").isNull()).isTrue();
        String report = "{\"doneOn\":\"" + LocalDate.now().minusDays(1)
                + "\",\"who\":\"Ines\",\"minutes\":2,\"note\":\"bark torn\",\"steps\":[],\"clientId\":\"" + visit
                + "\"}";
        RunningUmbel.Answer saved = umbel.post("/api/trees/" + TREE + "/records", report);
        long record = saved.json().at("/record/id").asLong();
        assertThat(record).as(saved.text()).isPositive();
        JsonNode later = umbel.send(asked(TREE, newId(), "&visit=" + visit), Pictures.jpeg(), "image/jpeg")
                .json();
        assertThat(later.path("recordId").asLong()).isEqualTo(record);
        assertThat(umbel.get(path(TREE)).json())
                .filteredOn(line ->
                        line.path("id").asLong() == first.json().path("id").asLong())
                .allMatch(line -> line.path("recordId").asLong() == record)
                .hasSize(1);
    }

    @Test
    void aPictureThatTwoPhotographsShareStaysUntilBothAreGone() throws IOException {
        byte[] same = Pictures.file(Pictures.redLeftBlueRight(33, 44), "jpg");
        JsonNode one = kept(same, "image/jpeg");
        long files = files();
        JsonNode other = kept(same, "image/jpeg");
        assertThat(files()).isEqualTo(files);
        delete(one);
        assertThat(read(picture(other)).getWidth()).isEqualTo(33);
        delete(other);
        assertThat(files()).isEqualTo(files - 1);
        assertThat(umbel.get(path(TREE) + "/" + other.path("id").asLong()).status())
                .isEqualTo(404);
    }

    @Test
    void aPictureWhoseFileIsGoneIsNotThereAndIsStillListedAndDeleted() throws IOException {
        JsonNode line = kept(Pictures.file(Pictures.redLeftBlueRight(21, 12), "jpg"), "image/jpeg");
        Path folder = umbel.part(UmbelSettings.class).data().resolve(PhotoFiles.FOLDER);
        byte[] shown = picture(line);
        try (Stream<Path> all = Files.list(folder)) {
            for (Path file : all.toList()) {
                if (Arrays.equals(Files.readAllBytes(file), shown)) {
                    Files.delete(file);
                }
            }
        }
        RunningUmbel.Answer gone = umbel.get(path(TREE) + "/" + line.path("id").asLong());
        assertThat(gone.status()).isEqualTo(404);
        assertThat(umbel.get(path(TREE)).text())
                .contains("\"id\":" + line.path("id").asLong() + ",");
        delete(line);
    }

    @Test
    void withoutADayItIsOfToday() {
        RunningUmbel.Answer answer = umbel.send(
                path(TREE) + "?clientId=" + newId() + "&moment=seen&who=Ines", Pictures.jpeg(), "image/jpeg");
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        LocalDate day = LocalDate.parse(answer.json().path("takenOn").asString());
        assertThat(day).isBetween(LocalDate.now().minusDays(1), LocalDate.now().plusDays(1));
    }

    private void delete(JsonNode line) {
        assertThat(umbel.send("DELETE", path(TREE) + "/" + line.path("id").asLong(), "", "application/json")
                        .status())
                .isEqualTo(204);
    }

    @Test
    void itIsNotFoundUnderAnotherTree() {
        JsonNode line = kept(Pictures.jpeg(), "image/jpeg");
        String elsewhere = path(TREE + 1) + "/" + line.path("id").asLong();
        assertThat(umbel.get(elsewhere).status()).isEqualTo(404);
        assertThat(umbel.send("DELETE", elsewhere, "", "application/json").status())
                .isEqualTo(404);
        assertThat(umbel.get(path(999_999)).status()).isEqualTo(404);
    }
}
