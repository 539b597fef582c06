/**
 * Questions over a whole document: the assessment with all its checks, tests asked for, failures, flights, causes of
 * trouble, remedies, requirements.
 */
package ration.answer;
