package umbel.photosurvey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.knowledge.Knowledge;
import umbel.photosurvey.PhotoSurveyRequest.Pair;
import umbel.photosurvey.PhotoSurveyRequest.Pixel;
import umbel.photosurvey.PhotoSurveyRequest.Trace;
import umbel.photosurvey.PhotoSurveyRequest.View;
import umbel.photosurvey.Photographer.True;
import umbel.practice.PracticeTree;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Vec;

/** Trees measured in pictures of which every point is known, with the errors of a person in the row. */
class PhotoSurveyTest {

    private static final int TREES = 20;

    /** Errors of all limbs of all trees. */
    private record Seen(
            List<Double> bearing,
            List<Double> angle,
            List<Double> length,
            List<Double> base,
            int wrong,
            int limbs,
            int asked) {}

    private static final Map<Integer, Tree> BUILT = new ConcurrentHashMap<>();

    private static Tree tree(int number) {
        return BUILT.computeIfAbsent(number, PhotoSurveyTest::built);
    }

    private static Tree built(int seed) {
        return TreeBuilder.build(PracticeTree.survey("apple", "tall-spindle", 6, seed), Knowledge.shipped(), seed);
    }

    private static Vec chord(True limb) {
        return limb.tip().minus(limb.base());
    }

    private static Seen seen(double missPx, double headingSd, double barrel) {
        List<Double> bearing = new ArrayList<>();
        List<Double> angle = new ArrayList<>();
        List<Double> length = new ArrayList<>();
        List<Double> base = new ArrayList<>();
        int wrong = 0;
        int limbs = 0;
        int asked = 0;
        for (int seed = 1; seed <= TREES; seed++) {
            List<True> real = Photographer.limbsOf(tree(seed));
            Map<String, True> byId = real.stream().collect(Collectors.toMap(True::id, Function.identity()));
            PhotoSurvey survey = survey(seed, real, missPx, headingSd, barrel);
            limbs += real.size();
            asked += survey.unsure().size();
            for (PhotoLimb limb : survey.limbs()) {
                True is = byId.get(limb.first().substring(1));
                if (!limb.second().substring(1).equals(is.id())) {
                    wrong += limb.sure() ? 1 : 0;
                    continue;
                }
                bearing.add(Math.toDegrees(
                        Math.abs(Math.IEEEremainder(limb.bearing() - chord(is).bearing(), 2 * Math.PI))));
                angle.add(Math.toDegrees(Math.abs(
                        (limb.angle() + limb.tipAngle()) / 2 - chord(is).inclination())));
                double whole = is.bend().minus(is.base()).length()
                        + is.tip().minus(is.bend()).length();
                length.add(100 * Math.abs(limb.length() - whole) / whole);
                base.add(100 * Math.abs(limb.at() - is.base().z()));
            }
        }
        return new Seen(bearing, angle, length, base, wrong, limbs, asked);
    }

    private static PhotoSurvey survey(int seed, List<True> real, double missPx, double headingSd, double barrel) {
        Photographer person = new Photographer(seed, missPx, barrel);
        double distance = 4 + 2 * Math.abs(Math.sin(seed));
        double heading = Math.toRadians(90 + headingSd * person.gaussian());
        View first = person.picture(person.stand(0, distance), 0, real, 2.9, "a", null);
        List<True> mixed = new ArrayList<>(real);
        Collections.shuffle(mixed, new Random(seed));
        View second = person.picture(person.stand(heading, distance), 90, mixed, 2.9, "b", null);
        return PhotoSurvey.of(
                request(List.of(first, second)), Knowledge.shipped().photographs());
    }

    private static PhotoSurveyRequest request(List<View> views, Pair... pairs) {
        return new PhotoSurveyRequest(PhotoSurveyRequest.FORMAT, 100 * Photographer.STAFF, views, List.of(pairs));
    }

    private static double ninth(List<Double> errors) {
        double[] sorted = errors.stream().mapToDouble(one -> one).sorted().toArray();
        return sorted[(int) Math.floor(0.9 * (sorted.length - 1))];
    }

    private static double middle(List<Double> errors) {
        double[] sorted = errors.stream().mapToDouble(one -> one).sorted().toArray();
        return sorted[sorted.length / 2];
    }

    @Test
    void nineLimbsOfTenAreMeasuredAsWellAsByHand() {
        Seen seen = seen(3, 5, 0.005);
        String told = String.format(
                "bearing %.1f/%.1f angle %.1f/%.1f length %.1f/%.1f base %.1f/%.1f of %d limbs, %d found, %d asked, %d wrong",
                middle(seen.bearing()),
                ninth(seen.bearing()),
                middle(seen.angle()),
                ninth(seen.angle()),
                middle(seen.length()),
                ninth(seen.length()),
                middle(seen.base()),
                ninth(seen.base()),
                seen.limbs(),
                seen.bearing().size(),
                seen.asked(),
                seen.wrong());
        assertThat(ninth(seen.bearing())).as(told).isLessThan(6);
        assertThat(ninth(seen.angle())).as(told).isLessThan(4);
        assertThat(ninth(seen.length())).as(told).isLessThan(8);
        assertThat(ninth(seen.base())).as(told).isLessThan(3);
        assertThat(seen.bearing().size()).as(told).isGreaterThan((int) (0.95 * seen.limbs()));
        assertThat(seen.wrong()).as(told).isLessThanOrEqualTo(seen.limbs() / 100);
        assertThat(seen.asked()).as(told).isLessThan(seen.limbs() / 10);
    }

    /** With exact touches and a true heading only the lens and the phone's tilt are left to be found, and they are. */
    @Test
    void exactTouchesGiveTheTreeBack() {
        Seen seen = seen(0, 0, 0);
        assertThat(ninth(seen.bearing())).isLessThan(1.5);
        assertThat(ninth(seen.angle())).isLessThan(1.5);
        assertThat(ninth(seen.base())).isLessThan(1);
        assertThat(seen.wrong()).isZero();
        assertThat(seen.asked()).isLessThan(seen.limbs() / 25);
    }

    /** What is said of the errors is about what they are: two in three limbs lie within one, nearly all within three. */
    @Test
    void theErrorsToldAreThoseMade() {
        int within = 0;
        int far = 0;
        int all = 0;
        for (int seed = 1; seed <= TREES; seed++) {
            List<True> real = Photographer.limbsOf(tree(seed));
            Map<String, True> byId = real.stream().collect(Collectors.toMap(True::id, Function.identity()));
            for (PhotoLimb limb : survey(seed, real, 3, 5, 0).limbs()) {
                True is = byId.get(limb.first().substring(1));
                double off = Math.abs(
                                (limb.angle() + limb.tipAngle()) / 2 - chord(is).inclination())
                        / limb.errors().angle();
                within += off < 1 ? 1 : 0;
                far += off > 4 ? 1 : 0;
                all++;
            }
        }
        assertThat((double) within / all).isBetween(0.5, 0.85);
        assertThat((double) far / all).isLessThan(0.03);
    }

    @Test
    void theTrunksTopAndTheCamerasAreFound() {
        List<True> real = Photographer.limbsOf(tree(3));
        PhotoSurvey survey = survey(3, real, 1.5, 0, 0);
        assertThat(survey.trunkHeight().orElseThrow()).isEqualTo(2.9, within(0.04));
        assertThat(survey.cameras()).hasSize(2);
        double distance = 4 + 2 * Math.abs(Math.sin(3));
        assertThat(survey.cameras().get(0).distance()).isEqualTo(distance, within(0.1));
        assertThat(Math.toDegrees(survey.between().orElseThrow())).isEqualTo(90, within(3.0));
    }

    @Test
    void picturesTooMuchAlikeAreSaid() {
        List<True> real = Photographer.limbsOf(tree(4));
        Photographer person = new Photographer(4, 1, 0);
        PhotoSurvey survey = PhotoSurvey.of(
                request(List.of(
                        person.picture(person.stand(0, 4), 0, real, 2.9, "a", null),
                        person.picture(person.stand(Math.toRadians(40), 8), 40, real, 2.9, "b", null))),
                Knowledge.shipped().photographs());
        assertThat(survey.notes()).extracting(note -> note.code()).contains("photo.between", "photo.distance");
    }

    /** With one picture, limbs across the line of sight are measured where their direction is told; the others are named. */
    @Test
    void onePictureMeasuresWhatHeadsAcross() {
        Photographer person = new Photographer(5, 0, 0);
        List<True> real = List.of(
                limb("across", 1.0, 90, 60, 0.8),
                limb("oblique", 1.2, 50, 60, 0.8),
                limb("end-on", 1.4, 20, 60, 0.8),
                limb("untold", 1.6, 270, 60, 0.8));
        View seen = person.picture(person.stand(0, 4.5), 0, real, 2.9, "", 150.0);
        Map<String, Double> told = Map.of("across", 90.0, "oblique", 50.0, "end-on", 20.0);
        View view = new View(
                seen.widthPx(),
                seen.heightPx(),
                seen.focal35Mm(),
                seen.cameraHeightCm(),
                0,
                seen.staff(),
                null,
                seen.limbs().stream()
                        .map(one -> new Trace(one.id(), null, one.base(), null, one.tip(), told.get(one.id())))
                        .toList());
        PhotoSurvey survey =
                PhotoSurvey.of(request(List.of(view)), Knowledge.shipped().photographs());
        assertThat(survey.limbs()).extracting(PhotoLimb::first).containsExactly("across", "oblique");
        assertThat(survey.left())
                .extracting(PhotoSurvey.Left::why)
                .containsExactlyInAnyOrder(PhotoSurvey.Why.END_ON, PhotoSurvey.Why.NO_PARTNER);
        PhotoLimb across = survey.limbs().get(0);
        assertThat(across.length()).isEqualTo(0.8, within(0.06));
        assertThat(Math.toDegrees(across.angle())).isEqualTo(60, within(4.0));
        assertThat(across.at()).isEqualTo(1.0, within(0.06));
        assertThat(survey.limbs().get(1).errors().length())
                .as("the more a limb points to the camera, the less its length is known")
                .isGreaterThan(across.errors().length());
        assertThat(survey.trunkHeight()).isEmpty();
        assertThat(survey.between()).isEmpty();
    }

    private static True limb(String id, double at, double bearing, double angle, double length) {
        Vec base = Vec.UP.times(at);
        Vec way = Vec.heading(Math.toRadians(bearing), Math.toRadians(angle));
        return new True(id, base, base.plus(way.times(length / 2)), base.plus(way.times(length)));
    }

    /** A limb on a limb is found on the one that bears it, as far out as it stands. */
    @Test
    void aForkStandsOnItsLimb() {
        Photographer person = new Photographer(6, 0.5, 0);
        True scaffold = limb("s", 0.8, 60, 50, 1.6);
        Vec at = scaffold.base().plus(chord(scaffold).times(0.5));
        True fork = new True("f", at, at.plus(new Vec(0.2, -0.3, 0.3)), at.plus(new Vec(0.4, -0.6, 0.6)));
        List<View> views = new ArrayList<>();
        for (String prefix : List.of("a", "b")) {
            double bearing = prefix.equals("a") ? 0 : 90;
            View seen = person.picture(
                    person.stand(Math.toRadians(bearing), 4.5), bearing, List.of(fork, scaffold), 2.0, prefix, null);
            views.add(new View(
                    seen.widthPx(),
                    seen.heightPx(),
                    26.0,
                    null,
                    bearing,
                    seen.staff(),
                    null,
                    seen.limbs().stream()
                            .map(one -> new Trace(
                                    one.id(),
                                    one.id().endsWith("f") ? prefix + "s" : "trunk",
                                    one.base(),
                                    one.bend(),
                                    one.tip(),
                                    null))
                            .toList()));
        }
        PhotoSurvey survey = PhotoSurvey.of(request(views), Knowledge.shipped().photographs());
        assertThat(survey.limbs()).extracting(PhotoLimb::first).containsExactly("as", "af");
        PhotoLimb found = survey.limbs().get(1);
        assertThat(found.parent()).isZero();
        assertThat(found.at()).isEqualTo(0.8, within(0.05));
        assertThat(Math.toDegrees(found.bearing()))
                .isEqualTo(Math.toDegrees(chord(fork).bearing()), within(4.0));
        assertThat(found.length()).isEqualTo(chord(fork).length(), within(0.06));
    }

    /** What a person says stands, even where the pictures would pair otherwise. */
    @Test
    void aPairThatWasToldIsTaken() {
        List<True> real = List.of(limb("1", 1.0, 45, 70, 0.8), limb("2", 1.3, 220, 70, 0.8));
        Photographer person = new Photographer(7, 0, 0);
        List<View> views = List.of(
                person.picture(person.stand(0, 4.5), 0, real, 2.9, "a", null),
                person.picture(person.stand(Math.PI / 2, 4.5), 90, real, 2.9, "b", null));
        PhotoSurvey alone = PhotoSurvey.of(request(views), Knowledge.shipped().photographs());
        assertThat(alone.limbs()).extracting(PhotoLimb::second).containsExactly("b1", "b2");
        PhotoSurvey told = PhotoSurvey.of(
                request(views, new Pair("a1", null)), Knowledge.shipped().photographs());
        assertThat(told.limbs()).extracting(PhotoLimb::first).containsExactly("a2");
        assertThat(told.left()).extracting(PhotoSurvey.Left::id).containsExactlyInAnyOrder("a1", "b1");
        PhotoSurvey crossed = PhotoSurvey.of(
                request(views, new Pair("a1", "b2"), new Pair("a2", "b1")),
                Knowledge.shipped().photographs());
        assertThat(crossed.limbs())
                .allMatch(
                        limb -> !limb.first().substring(1).equals(limb.second().substring(1)));
        assertThat(crossed.notes()).extracting(note -> note.code()).contains("photo.again");
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 5})
    void theSameTouchesGiveTheSameMeasures(int seed) {
        List<True> real = Photographer.limbsOf(tree(seed));
        assertThat(survey(seed, real, 3, 5, 0).limbs())
                .isEqualTo(survey(seed, real, 3, 5, 0).limbs());
    }

    /** Touches anywhere, limbs on limbs, one picture or two: there is always an answer, and every figure in it is one. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    void touchesAtRandomAreAnswered(int pictures) {
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            List<View> views = new ArrayList<>();
            for (int k = 0; k < pictures; k++) {
                List<Trace> traces = new ArrayList<>();
                for (int i = 0; i < random.nextInt(7); i++) {
                    traces.add(new Trace(
                            k + "." + i,
                            i > 0 && random.nextInt(4) == 0 ? k + "." + random.nextInt(i) : null,
                            anywhere(random),
                            random.nextBoolean() ? anywhere(random) : null,
                            anywhere(random),
                            random.nextInt(3) == 0 ? (double) random.nextInt(361) : null));
                }
                views.add(new View(
                        1500,
                        2000,
                        null,
                        null,
                        k == 0 ? 0 : 20 + random.nextInt(140),
                        new PhotoSurveyRequest.Staff(new Pixel(700, 1900), new Pixel(720, 400 + random.nextInt(1400))),
                        random.nextBoolean() ? anywhere(random) : null,
                        traces));
            }
            PhotoSurvey survey =
                    PhotoSurvey.of(request(views), Knowledge.shipped().photographs());
            for (PhotoLimb limb : survey.limbs()) {
                assertThat(List.of(
                                limb.at(),
                                limb.bearing(),
                                limb.angle(),
                                limb.tipAngle(),
                                limb.length(),
                                limb.residual(),
                                limb.errors().at(),
                                limb.errors().bearing(),
                                limb.errors().angle(),
                                limb.errors().length()))
                        .as("seed %d, limb %s", seed, limb)
                        .allMatch(Double::isFinite)
                        .allMatch(figure -> figure >= 0);
            }
            int traced = views.stream().mapToInt(view -> view.limbs().size()).sum();
            long told = survey.limbs().stream()
                            .mapToInt(limb ->
                                    limb.first().isEmpty() || limb.second().isEmpty() ? 1 : 2)
                            .sum()
                    + survey.left().size();
            assertThat(told)
                    .as("every touched limb is measured or said to be left")
                    .isEqualTo(traced);
        }
    }

    private static Pixel anywhere(Random random) {
        return random.nextInt(20) == 0 ? new Pixel(700, 1900) : new Pixel(random.nextInt(1501), random.nextInt(2001));
    }

    /** As many limbs as the format takes: still no matter of minutes. */
    @Test
    @Timeout(30)
    void sixtyLimbsAreMeasuredInSeconds() {
        List<True> many = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            many.add(limb("" + i, 0.5 + 0.04 * i, (137 * i) % 360, 60 + i % 30, 0.4 + 0.01 * (i % 40)));
        }
        PhotoSurvey survey = survey(9, many, 2, 3, 0);
        assertThat(survey.limbs()).hasSizeGreaterThan(54);
    }
}
