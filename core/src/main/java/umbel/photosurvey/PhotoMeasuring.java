package umbel.photosurvey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Function;
import umbel.knowledge.PhotographParameters;
import umbel.photosurvey.PhotoSurveyRequest.Trace;
import umbel.photosurvey.PhotoSurveyRequest.View;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Units;
import umbel.wood.Vec;

/** One tree measured, from the touches to the limbs in their order: first what both pictures show, then what one shows. */
final class PhotoMeasuring {

    /** A measured limb before it has its place in the list. */
    private record Found(Traced first, Traced second, Found bearer, List<Vec> points, PhotoLimb limb) {}

    private final PhotoSurveyRequest request;
    private final PhotographParameters parameters;
    private final double staff;
    private final List<List<Traced>> traced;
    private final double[] px;
    private final List<Found> found = new ArrayList<>();
    private final List<PhotoSurvey.Left> left = new ArrayList<>();
    private final List<PhotoSurvey.Unsure> unsure = new ArrayList<>();
    private List<Camera> cameras;
    private OptionalDouble top = OptionalDouble.empty();
    private OptionalDouble between = OptionalDouble.empty();

    PhotoMeasuring(PhotoSurveyRequest request, PhotographParameters parameters) {
        this.request = request;
        this.parameters = parameters;
        this.staff = Units.fromCm(request.staffCm());
        this.traced = request.views().stream()
                .map(view -> view.limbs().stream()
                        .map(trace -> Traced.of(trace, view))
                        .toList())
                .toList();
        this.px = request.views().stream()
                .mapToDouble(view -> Math.min(
                        parameters.click().largestPx(), parameters.click().shareOfHeight() * view.heightPx()))
                .toArray();
        this.cameras = request.views().stream()
                .map(view -> StaffCalibration.of(view, staff, parameters))
                .toList();
    }

    PhotoSurvey measured() {
        if (cameras.size() == 2) {
            inBoth();
        } else if (view(0).trunkTop() != null) {
            top = OptionalDouble.of(cameras.get(0)
                    .heightOnTrunk(Camera.Point.of(view(0).trunkTop(), view(0).widthPx(), view(0).heightPx())));
        }
        for (int k = 0; k < cameras.size(); k++) {
            inOne(k);
        }
        List<Found> ordered = ordered();
        Map<Found, Integer> number = new HashMap<>();
        List<PhotoLimb> limbs = new ArrayList<>();
        for (Found one : ordered) {
            number.put(one, limbs.size());
            limbs.add(onBearer(one.limb(), one.bearer() == null ? -1 : number.get(one.bearer())));
        }
        return new PhotoSurvey(
                limbs,
                top,
                cameras.stream()
                        .map(camera -> new PhotoSurvey.Place(camera.distance(), camera.height()))
                        .toList(),
                between,
                unsure,
                left,
                notes(limbs));
    }

    private View view(int k) {
        return request.views().get(k);
    }

    private void inBoth() {
        List<LimbPairing.Paired> pairs = LimbPairing.of(
                cameras.get(0),
                traced.get(0),
                cameras.get(1),
                traced.get(1),
                (px[0] + px[1]) / 2,
                request.pairs(),
                parameters.pairing());
        JointAdjustment.Result result =
                JointAdjustment.of(request.views(), cameras, pairs, staff, px, parameters.errors());
        cameras = List.of(result.first(), result.second());
        between = OptionalDouble.of(result.between());
        top = result.top();
        Map<LimbPairing.Paired, Found> by = new HashMap<>();
        for (JointAdjustment.Limb limb : result.limbs()) {
            LimbPairing.Paired pair = limb.pair();
            Found bearer = by.get(pair.bearer());
            LimbShape shape = new LimbShape(limb.points(), limb.covariance());
            Found one = new Found(
                    pair.first(),
                    pair.second(),
                    bearer,
                    limb.points(),
                    limb(
                            pair.first().id(),
                            pair.second().id(),
                            at(bearer, limb.points()),
                            shape,
                            shape.errors(),
                            limb.residual(),
                            pair.sure()));
            by.put(pair, one);
            found.add(one);
            if (!pair.sure()) {
                unsure.add(new PhotoSurvey.Unsure(pair.first().id(), pair.others()));
            }
        }
    }

    private PhotoLimb limb(
            String first,
            String second,
            double at,
            LimbShape shape,
            PhotoLimb.Errors errors,
            double residual,
            boolean sure) {
        double[] angles = shape.angles(parameters.bendLeast());
        return new PhotoLimb(
                first, second, -1, at, shape.bearing(), angles[0], angles[1], shape.length(), errors, residual, sure);
    }

    private static double at(Found bearer, List<Vec> points) {
        return bearer == null ? Math.max(0, points.get(0).z()) : PolyLine.along(points.get(0), bearer.points());
    }

    /** Limbs that only this picture shows, a limb after the one it stands on. */
    private void inOne(int k) {
        List<Traced> waiting = new ArrayList<>(traced.get(k).stream()
                .filter(limb -> foundAs(k, limb.id()) == null)
                .toList());
        boolean more = true;
        while (more) {
            more = false;
            for (Traced limb : List.copyOf(waiting)) {
                Found bearer = limb.trace().isOnTrunk()
                        ? null
                        : foundAs(k, limb.trace().parent());
                if (limb.trace().isOnTrunk() || bearer != null) {
                    waiting.remove(limb);
                    more = true;
                    alone(k, limb, bearer);
                }
            }
        }
        waiting.forEach(limb -> left.add(new PhotoSurvey.Left(k, limb.id(), PhotoSurvey.Why.NO_BEARER)));
    }

    private void alone(int k, Traced limb, Found bearer) {
        Trace trace = limb.trace();
        if (trace.bearingDeg() == null) {
            left.add(new PhotoSurvey.Left(k, limb.id(), PhotoSurvey.Why.NO_PARTNER));
            return;
        }
        double bearing = Units.fromDegrees(trace.bearingDeg());
        Camera camera = cameras.get(k);
        if (!OneView.isAcross(camera, bearing, parameters)) {
            left.add(new PhotoSurvey.Left(k, limb.id(), PhotoSurvey.Why.END_ON));
            return;
        }
        List<Vec> points = OneView.points(camera, limb, bearer == null ? null : bearer.points(), bearing);
        PhotoLimb.Errors errors = OneView.errors(camera, points, bearing, px[k], parameters);
        LimbShape shape = LimbShape.exact(points);
        found.add(new Found(
                k == 0 ? limb : null,
                k == 1 ? limb : null,
                bearer,
                points,
                limb(k == 0 ? limb.id() : "", k == 1 ? limb.id() : "", at(bearer, points), shape, errors, 0, true)));
    }

    private Found foundAs(int k, String id) {
        Function<Found, Traced> inView = k == 0 ? Found::first : Found::second;
        return found.stream()
                .filter(one ->
                        inView.apply(one) != null && inView.apply(one).id().equals(id))
                .findFirst()
                .orElse(null);
    }

    private List<Found> ordered() {
        List<Found> ordered = new ArrayList<>();
        append(null, ordered);
        return ordered;
    }

    private void append(Found bearer, List<Found> ordered) {
        List<Found> on = found.stream()
                .filter(one -> one.bearer() == bearer)
                .sorted(Comparator.comparingDouble(one -> one.limb().at()))
                .toList();
        ordered.addAll(on);
        on.forEach(one -> append(one, ordered));
    }

    private static PhotoLimb onBearer(PhotoLimb limb, int parent) {
        return new PhotoLimb(
                limb.first(),
                limb.second(),
                parent,
                limb.at(),
                limb.bearing(),
                limb.angle(),
                limb.tipAngle(),
                limb.length(),
                limb.errors(),
                limb.residual(),
                limb.sure());
    }

    private List<Statement> notes(List<PhotoLimb> limbs) {
        List<Statement> notes = new ArrayList<>();
        PhotographParameters.Between wanted = parameters.between();
        between.ifPresent(angle -> {
            if (angle < Units.fromDegrees(wanted.leastDeg()) || angle > Units.fromDegrees(wanted.mostDeg())) {
                notes.add(Statement.of("photo.between")
                        .with("angle", new Value.Angle(angle))
                        .with("least", new Value.Angle(Units.fromDegrees(wanted.leastDeg())))
                        .with("most", new Value.Angle(Units.fromDegrees(wanted.mostDeg()))));
            }
        });
        for (int k = 0; k < cameras.size(); k++) {
            double distance = cameras.get(k).distance();
            boolean near = distance < parameters.camera().nearM();
            if (near || distance > parameters.camera().farM()) {
                notes.add(Statement.of("photo.distance")
                        .with("picture", Value.count(k + 1L))
                        .with("where", Value.choice(near ? "near" : "far"))
                        .with("distance", new Value.Reach(distance))
                        .with("best", new Value.Reach(parameters.camera().bestFromM()))
                        .with("best2", new Value.Reach(parameters.camera().bestToM())));
            }
        }
        List<String> again = limbs.stream()
                .filter(limb -> limb.residual() > Units.fromCm(parameters.againCm()))
                .map(PhotoLimb::first)
                .toList();
        if (!again.isEmpty()) {
            notes.add(Statement.of("photo.again")
                    .with("limbs", new Value.Limbs(again))
                    .with("count", Value.count(again.size()))
                    .with("most", new Value.Length(Units.fromCm(parameters.againCm()))));
        }
        for (PhotoSurvey.Left one : left) {
            notes.add(Statement.of("photo.left")
                    .with("limb", Value.limb(one.id()))
                    .with("picture", Value.count(one.view() + 1L))
                    .with("why", Value.choice(one.why().choice())));
        }
        return notes;
    }
}
