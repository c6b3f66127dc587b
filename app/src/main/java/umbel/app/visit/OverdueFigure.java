package umbel.app.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Component;
import umbel.app.farm.FarmCount;
import umbel.app.farm.FarmFigure;

/** How much should have been come back for before today. */
@Component
class OverdueFigure implements FarmFigure {

    private final FollowUpRepository followUpRepository;
    private final Clock clock;

    OverdueFigure(FollowUpRepository followUpRepository, Clock clock) {
        this.followUpRepository = followUpRepository;
        this.clock = clock;
    }

    @Override
    public Kind kind() {
        return Kind.OVERDUE;
    }

    @Override
    public List<FarmCount> of(Collection<Long> farms) {
        return followUpRepository.countOverdue(farms, LocalDate.now(clock));
    }
}
