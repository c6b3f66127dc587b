package umbel.crew;

import java.time.LocalDate;

/** One person's day. */
public record Shift(CrewMember member, LocalDate date) {

    /** Minutes there are in it. */
    public int minutes() {
        return (int) Math.round(member.hoursADay() * 60);
    }
}
