/** Acts at the mount, as they are said where something must be looked at again. */
export const MOUNT_CAUSES: Readonly<Record<string, string>> = {
  'confirm:mount-drilled': 'the mount was drilled',
  'confirm:mount-fitted': 'the brake was mounted again',
  'confirm:boss-ready': 'the arms were off their bosses',
  'confirm:boss-tight': 'the arms’ bolts were tightened',
  'plan:mount': 'another way of mounting was chosen',
}
