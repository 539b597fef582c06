package ration.answer.proof;

import java.util.Optional;
import ration.physics.tank.Governing;
import ration.record.evidence.TankEvidence;

/**
 * What is known of a tank where its tests are judged.
 *
 * @param predicted attitude in which most stays, and how much, m3
 * @param there drained in that attitude
 * @param full as much as its shape takes, as it is filled, m3
 * @param placard unusable fuel kept back, m3
 */
public record TankFigures(Governing predicted, Optional<TankEvidence.Drained> there, double full, double placard) {}
