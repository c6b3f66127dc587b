package umbel.light;

import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import umbel.knowledge.LightParameters;
import umbel.wood.Setting;

/** Skies already computed, by place: a sky depends only on latitude, row and number of directions. */
final class SkyCache {

    private static final int MOST = 256;
    private static final Map<Key, Sky> SKIES = new ConcurrentHashMap<>();

    private record Key(int count, double latitude, double rowBearing, LightParameters settings) {

        /** Without the settings, which are many numbers and mostly the same. */
        @Override
        public int hashCode() {
            return Objects.hash(count, latitude, rowBearing);
        }
    }

    private SkyCache() {}

    static Sky season(int count, Setting setting) {
        if (SKIES.size() > MOST) {
            SKIES.clear();
        }
        Key key = new Key(count, setting.place().latitude(), setting.place().rowBearing(), setting.light());
        return SKIES.computeIfAbsent(
                key,
                k -> Sky.season(
                        count, setting.place().latitude(), setting.place().rowBearing(), setting.light()));
    }
}
