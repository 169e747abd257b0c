/** The id of the element of the status line that says where the pointer is on a stage; written past React, with every move. */
export const STAGE_AT = 'stage-at';
