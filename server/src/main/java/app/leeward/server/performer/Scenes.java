package app.leeward.server.performer;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** The shots that are being played on this server. A performer and its page meet on one server: nothing of this is stored. */
@Component
class Scenes {
    private final Map<String, Scene> open = new ConcurrentHashMap<>();

    Scene of(String shot, Consumer<Scene> first) {
        return open.compute(shot, (id, scene) -> {
            Scene now = scene == null ? new Scene() : scene;
            first.accept(now);
            return now;
        });
    }

    /** Forgets a shot that nobody plays any more. */
    void tidy(String shot) {
        open.computeIfPresent(shot, (id, scene) -> scene.empty() ? null : scene);
    }
}
