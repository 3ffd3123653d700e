throw new Error('There is no image optimiser here: pictures are sent as they are kept.');
