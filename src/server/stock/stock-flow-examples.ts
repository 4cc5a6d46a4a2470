// Examples that several tests share.

export const SLATE = 'Tarn Smooth, slate';
