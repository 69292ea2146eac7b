export const rescueStrainers = {
  rescueStrainersStrainers: {
    title: 'Baskets, screens, mats and mechanical pads clean',
    detail: 'The biological media stay as they are.',
  },
  rescueStrainersPumpClean: {
    title: 'Pump and intake clean, flow looked at',
  },
}
