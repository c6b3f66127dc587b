package umbel.app.people;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.farm.Farm;
import umbel.app.farm.FarmCount;
import umbel.app.farm.FarmFigure;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;

/** The farms somebody has a role in, at a glance; and what a farm is called. */
@RestController
@RequestMapping("/api/farms")
class FarmsController {

    private final OwnFarms own;
    private final Farms farms;
    private final FarmFounding founding;
    private final List<FarmFigure> figures;

    FarmsController(OwnFarms own, Farms farms, FarmFounding founding, List<FarmFigure> figures) {
        this.own = own;
        this.farms = farms;
        this.founding = founding;
        this.figures = figures;
    }

    /** What a farm is called. */
    public record FarmName(@NotBlank @Size(max = 200) String name) {}

    /**
     * A farm at a glance.
     *
     * @param code stands for it in addresses
     * @param name empty where it was never named
     * @param role of whoever asks
     * @param surveyed trees that were surveyed
     * @param due to be come back for by today
     * @param overdue should have been come back for before
     * @param suggested suggestions that wait for an answer
     * @param doubtful trees of whose plan the program is not sure
     */
    public record FarmLine(
            String code,
            String name,
            String role,
            long surveyed,
            long due,
            long overdue,
            long suggested,
            long doubtful) {}

    /** All farms whoever asks has a role in; to a pruner no figures are told. */
    @GetMapping
    List<FarmLine> all() {
        Map<Farm, Role> all = own.all();
        List<Long> told = all.entrySet().stream()
                .filter(one -> one.getValue() != Role.PRUNER)
                .map(one -> one.getKey().id())
                .toList();
        Map<FarmFigure.Kind, Map<Long, Long>> counted = new EnumMap<>(FarmFigure.Kind.class);
        for (FarmFigure figure : figures) {
            Map<Long, Long> ofFarm = new HashMap<>();
            for (FarmCount one : FarmScope.acrossFarms(() -> figure.of().apply(told))) {
                ofFarm.put(one.farm(), one.count());
            }
            counted.put(figure.kind(), ofFarm);
        }
        return all.entrySet().stream()
                .map(one -> line(one.getKey(), one.getValue(), counted))
                .toList();
    }

    private static FarmLine line(Farm farm, Role role, Map<FarmFigure.Kind, Map<Long, Long>> counted) {
        return new FarmLine(
                farm.code(),
                farm.name(),
                role.word(),
                count(counted, FarmFigure.Kind.SURVEYED, farm),
                count(counted, FarmFigure.Kind.DUE, farm),
                count(counted, FarmFigure.Kind.OVERDUE, farm),
                count(counted, FarmFigure.Kind.SUGGESTED, farm),
                count(counted, FarmFigure.Kind.DOUBTFUL, farm));
    }

    private static long count(Map<FarmFigure.Kind, Map<Long, Long>> counted, FarmFigure.Kind kind, Farm farm) {
        return counted.getOrDefault(kind, Map.of()).getOrDefault(farm.id(), 0L);
    }

    /** Adds a farm, of which whoever asks becomes the grower; gives its code. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    FarmLine add(@RequestBody @Valid FarmName entry) {
        Farm farm = founding.add(entry.name().strip());
        return line(farm, Role.GROWER, Map.of());
    }

    /** Gives this farm another name. */
    @PutMapping("/this")
    FarmName rename(@RequestBody @Valid FarmName entry) {
        return new FarmName(farms.rename(entry.name().strip()).name());
    }
}
