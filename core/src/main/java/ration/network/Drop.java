package ration.network;

/** Scratch result of a characteristic: loss in Pa and its slope in Pa per m3/s. Reused, so solving does not allocate. */
final class Drop {
    double loss;
    double slope;
    double friction;
    double frictionSlope;
}
