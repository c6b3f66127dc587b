package umbel.app.season;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Imported weather by holding. */
interface WeatherRepository extends JpaRepository<WeatherEntry, Long> {

    List<WeatherEntry> findByHoldingIdAndToldForBetween(Long holding, LocalDate from, LocalDate to);

    void deleteByHoldingId(Long holding);
}
