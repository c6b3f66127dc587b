package umbel.app.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;
import umbel.app.farm.FarmCount;
import umbel.app.farm.FarmFigure;

/** How much is to be come back for by today. */
@Component
class DueFigure implements FarmFigure {

    private final FollowUpRepository followUpRepository;
    private final Clock clock;

    DueFigure(FollowUpRepository followUpRepository, Clock clock) {
        this.followUpRepository = followUpRepository;
        this.clock = clock;
    }

    @Override
    public Kind kind() {
        return Kind.DUE;
    }

    @Override
    public List<FarmCount> of(Collection<Long> farms) {
        return followUpRepository.countDue(farms, LocalDate.now(clock));
    }
}
