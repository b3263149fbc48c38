package app.tychon.server.effects;

import app.tychon.server.rights.MayRead;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
@MayRead
class RiskEffectsController {
    private final RiskEffects effects;

    RiskEffectsController(RiskEffects effects) {
        this.effects = effects;
    }

    /** What each risk moves, as far as it is known now; the events named {@code effects} tell of more. */
    @GetMapping("/api/projects/{id}/risks/effects")
    EffectsView riskEffects(@PathVariable UUID id) {
        return effects.now(id);
    }
}
