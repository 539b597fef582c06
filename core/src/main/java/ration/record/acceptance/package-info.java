/**
 * What people say of open points: who has one in hand, what an inspector accepted as it is, which packets were given
 * out. None of it turns anything into Holds: it stands beside the finding.
 */
package ration.record.acceptance;
