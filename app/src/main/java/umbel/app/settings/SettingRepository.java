package umbel.app.settings;

import org.springframework.data.jpa.repository.JpaRepository;

/** What was set for the whole program. */
interface SettingRepository extends JpaRepository<Setting, String> {}
