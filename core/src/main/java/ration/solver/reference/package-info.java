/**
 * Networks solved outside the project, and the comparison with them.
 *
 * <p>Cases come from EPANET 2.2 and an independent Newton solution with EPANET's friction law; the form and the
 * conventions are in {@code docs/reference.md}. {@link ration.solver.reference.Proof} solves each twice: under the
 * reference's friction law, where only a solver error can make a difference, and under Ration's own, where the
 * difference is the friction law.
 */
package ration.solver.reference;
