package umbel.app.cache;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.ToIntFunction;
import java.util.function.UnaryOperator;

/**
 * Answers that take long to work out, kept while they are asked for. They are worked out outside the cache's locks: light,
 * growth and plans are computed in parallel, and a pool thread that waits for a lock held by whoever waits for the pool stands
 * still for good. Two who ask at the same moment may both work it out.
 *
 * @param <K> all that an answer depends on
 * @param <V> the answer
 */
public final class ComputedCache<K, V> {

    /** What a tree takes in memory, with its light and its fruiting sites: 300 trees of 610 axes took 120 MB. */
    private static final int BYTES_AN_AXIS = 700;

    private final Cache<K, V> cache;

    private ComputedCache(Cache<K, V> cache) {
        this.cache = cache;
    }

    /** What is too much goes at once, by whoever brings it: the pool that would do it beside is busy with computing for minutes. */
    private static Caffeine<Object, Object> builder() {
        return Caffeine.newBuilder().executor(Runnable::run);
    }

    /** Keeps at most so many answers, those asked for lately and often. */
    public static <K, V> ComputedCache<K, V> atMost(long count) {
        return new ComputedCache<>(builder().maximumSize(count).build());
    }

    /**
     * Keeps answers about trees, those asked for lately and often, as far as they take no more than a share of the memory there is for data.
     *
     * @param shareOfMemory 0…1
     * @param axes of the trees that an answer holds; small beside them is what else it holds. Where they become more or fewer while it is
     *     kept, {@link #weighAgain} tells the cache
     */
    public static <K, V> ComputedCache<K, V> ofTrees(double shareOfMemory, ToIntFunction<? super V> axes) {
        return new ComputedCache<>(builder()
                .maximumWeight((long) (shareOfMemory * Runtime.getRuntime().maxMemory() / BYTES_AN_AXIS))
                .<K, V>weigher((key, answer) -> axes.applyAsInt(answer))
                .build());
    }

    /** Keeps answers for so long and no longer. */
    public static <K, V> ComputedCache<K, V> freshFor(Duration time) {
        return new ComputedCache<>(builder().expireAfterWrite(time).build());
    }

    /** The answer kept for a key, or the one worked out now; null, where that is the answer, is not kept. */
    public V get(K key, Supplier<? extends V> work) {
        V known = cache.getIfPresent(key);
        if (known == null) {
            known = work.get();
            if (known != null) {
                cache.put(key, known);
            }
        }
        return known;
    }

    /** The answers kept for some keys; those that are not kept are worked out together. */
    public Map<K, V> all(Collection<K> keys, Function<List<K>, Map<K, V>> work) {
        Map<K, V> known = new HashMap<>(cache.getAllPresent(keys));
        List<K> missing = keys.stream().filter(key -> !known.containsKey(key)).toList();
        if (!missing.isEmpty()) {
            Map<K, V> found = work.apply(missing);
            cache.putAll(found);
            known.putAll(found);
        }
        return known;
    }

    /** Counts again what the answer kept for a key takes; others go, where that is too much now. */
    public void weighAgain(K key) {
        cache.asMap().computeIfPresent(key, (same, answer) -> answer);
    }

    /** Forgets every answer. */
    public void forget() {
        cache.invalidateAll();
    }

    /** Puts a new answer in the place of the one kept for a key, worked out from that; from null where there was none. */
    public V renew(K key, UnaryOperator<V> work) {
        V fresh = work.apply(cache.getIfPresent(key));
        cache.put(key, fresh);
        return fresh;
    }
}
